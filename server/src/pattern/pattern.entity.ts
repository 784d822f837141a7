import type { PatternBody } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('patterns')
export class PatternEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') name: string;
  @Column('text') kind: string;
  /** number of the current revision */
  @Column('int') revision: number;
}

/** A revision never changes: it is only ever added. */
@Entity('pattern_revisions')
export class PatternRevisionEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn({ type: 'uuid', name: 'pattern_id' }) patternId: string;
  @PrimaryColumn('int') number: number;
  @Column('jsonb') body: PatternBody;
  /** what changed against the revision before, in sentences */
  @Column('jsonb') changes: string[];
  @Column('text', { name: 'made_by' }) madeBy: string;
  @Column({ type: 'timestamptz', name: 'made_at', insert: false }) madeAt: Date;
}
