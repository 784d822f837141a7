import type { DryingBundle } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('drying_bundles')
export class DryingBundleEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('jsonb') body: DryingBundle;
  @Column({ type: 'timestamptz', name: 'created_at', insert: false }) createdAt: Date;
  @Column({ type: 'timestamptz', name: 'taken_off_at', nullable: true }) takenOffAt: Date | null;
}
