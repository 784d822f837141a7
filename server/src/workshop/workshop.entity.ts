import type { Workshop } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('workshops')
export class WorkshopEntity extends SharedRow {
  @PrimaryColumn('uuid') id: string;
  @Column('text') name: string;
  @Column('jsonb') body: Workshop;
}
