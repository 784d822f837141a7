import type { SampledBy, Trace } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('samples')
export class SampleEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') name: string;
  @Column('text', { name: 'measured_by' }) measuredBy: SampledBy;
  @Column('jsonb') trace: Trace;
  @Column('text') note: string;
}
