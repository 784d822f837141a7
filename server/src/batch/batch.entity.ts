import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('batches')
export class BatchEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('uuid', { name: 'order_id' }) orderId: string;
  @Column('uuid', { name: 'pattern_id' }) patternId: string;
  @Column('int') revision: number;
  @Column('text') name: string;
  @Column('int') pieces: number;
  @Column('int', { name: 'plan_version' }) planVersion: number;
  @Column({ type: 'timestamptz', name: 'put_away_at', nullable: true }) putAwayAt: Date | null;
  @Column({ type: 'timestamptz', name: 'created_at', insert: false }) createdAt: Date;
}
