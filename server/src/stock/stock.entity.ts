import type { CutInput, CutPlan, LedgerKind, NewStockItem } from '@compas/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('stock_items')
export class StockItemEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') kind: string;
  @Column('jsonb') body: NewStockItem;
}

/** A cutting plan as it was kept: what it was made from, and what it says. */
export interface CuttingBody {
  schema: 1;
  input: CutInput;
  plan: CutPlan;
}

@Entity('cuttings')
export class CuttingEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') name: string;
  @Column('text', { name: 'study_key' }) studyKey: string;
  @Column('jsonb') body: CuttingBody;
  @Column({ type: 'timestamptz', name: 'made_at', insert: false }) madeAt: Date;
  @Column({ type: 'timestamptz', name: 'recorded_at', nullable: true }) recordedAt: Date | null;
}

@Entity('ledger')
export class LedgerEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column({ type: 'bigint', insert: false }) number: string;
  @Column('text') shelf: 'stock' | 'kit';
  @Column('uuid', { name: 'item_id' }) itemId: string;
  @Column('text') label: string;
  @Column({ type: 'timestamptz', insert: false }) at: Date;
  @Column('text') kind: LedgerKind;
  @Column('double precision') amount: number;
  @Column('bigint', { transformer: { to: (n: number) => n, from: Number } }) cost: number;
  @Column('text') note: string;
  @Column('uuid', { name: 'cutting_id', nullable: true }) cuttingId: string | null;
  @Column('uuid', { name: 'made_by' }) madeBy: string;
}
