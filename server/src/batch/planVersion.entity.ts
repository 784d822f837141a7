import type { PlanSummary, StoredSnapshot } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A plan as it was made. Replanning adds a version; none is ever changed. */
@Entity('plan_versions')
export class PlanVersionEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn({ type: 'uuid', name: 'batch_id' }) batchId: string;
  @PrimaryColumn('int') version: number;
  @Column('jsonb') snapshot: StoredSnapshot;
  /** fingerprint of the snapshot: its address */
  @Column('text') hash: string;
  /** what lists show of it */
  @Column('jsonb') summary: PlanSummary;
  @Column({ type: 'timestamptz', name: 'made_at', insert: false }) madeAt: Date;
}
