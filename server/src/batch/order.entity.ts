import { Column, Entity, PrimaryColumn } from 'typeorm';
import { SharedRow } from '../database/sharedRow.js';

@Entity('orders')
export class OrderEntity extends SharedRow {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') customer: string;
  @Column('date', { nullable: true }) due: string | null;
  /** when all was handed over, or nothing more is made for it */
  @Column({ type: 'timestamptz', name: 'closed_at', nullable: true }) closedAt: Date | null;
}

@Entity('order_lines')
export class OrderLineEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn({ type: 'uuid', name: 'order_id' }) orderId: string;
  @PrimaryColumn('int') number: number;
  @Column('uuid', { name: 'pattern_id' }) patternId: string;
  /** the one that is made; null while it is not planned */
  @Column('int', { nullable: true }) revision: number | null;
  /** items that are wanted */
  @Column('int') pieces: number;
  /** the batch that it is made in; null while it is not planned */
  @Column('uuid', { name: 'batch_id', nullable: true }) batchId: string | null;
  /** what was chosen for its plan so far, as the address of that plan says it */
  @Column('text') choices: string;
  /** counts of the batch's items that were handed over */
  @Column('int', { array: true }) given: number[];
}
