import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('orders')
export class OrderEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn('uuid') id: string;
  @Column('text') customer: string;
  @Column('date', { nullable: true }) due: string | null;
}

@Entity('order_lines')
export class OrderLineEntity {
  @PrimaryColumn({ type: 'uuid', name: 'workshop_id' }) workshopId: string;
  @PrimaryColumn({ type: 'uuid', name: 'order_id' }) orderId: string;
  @PrimaryColumn('int') number: number;
  @Column('uuid', { name: 'pattern_id' }) patternId: string;
  @Column('int') revision: number;
  @Column('int') pieces: number;
}
