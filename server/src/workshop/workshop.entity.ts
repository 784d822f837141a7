import type { Workshop } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('workshops')
export class WorkshopEntity {
  @PrimaryColumn('uuid') id: string;
  @Column('text') name: string;
  @Column('jsonb') body: Workshop;
  @Column('int') version: number;
}
