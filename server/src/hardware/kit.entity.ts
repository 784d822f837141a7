import type { Kit } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('kits')
export class KitEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('jsonb') body: Kit;
}
