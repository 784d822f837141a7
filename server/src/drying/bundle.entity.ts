import type { DryingBundle } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('drying_bundles')
export class DryingBundleEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('jsonb') body: DryingBundle;
  @Column('int') version: number;
  @Column({ type: 'timestamptz', name: 'created_at', insert: false }) createdAt: Date;
  @Column({ type: 'timestamptz', name: 'taken_off_at', nullable: true }) takenOffAt: Date | null;
}
