import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A plan that is begun and not kept: what was chosen for it, as its address says it. */
@Entity('drafts')
export class DraftEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn({ type: 'uuid', name: 'pattern_id' }) patternId: string;
  @Column('text') choices: string;
  @Column('text', { name: 'changed_by' }) changedBy: string;
  @Column({ type: 'timestamptz', name: 'changed_at' }) changedAt: Date;
}
