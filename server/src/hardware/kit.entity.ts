import type { Kit } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('kits')
export class KitEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('jsonb') body: Kit;
}
