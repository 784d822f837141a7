import type { Lot } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('batches')
export class BatchEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('uuid', { name: 'pattern_id' }) patternId: string;
  @Column('int') revision: number;
  @Column('text') name: string;
  @Column('int') pieces: number;
  /** which of them are of which part, spares last */
  @Column('jsonb') lots: Lot[];
  @Column('int', { name: 'plan_version' }) planVersion: number;
  @Column({ type: 'timestamptz', name: 'put_away_at', nullable: true }) putAwayAt: Date | null;
  /** number of the newest event; drawn under the lock of this row */
  @Column({
    type: 'bigint',
    name: 'last_event',
    insert: false,
    transformer: { to: (n: number) => n, from: Number },
  })
  lastEvent: number;
  /** rule by which its pieces were last summed up */
  @Column('int', { name: 'summary_rule' }) summaryRule: number;
  @Column({ type: 'timestamptz', name: 'created_at', insert: false }) createdAt: Date;
}
