import { Controller, Get, Header, Param, ParseUUIDPipe, Query, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import { type DeliveredLine, type Paper, PAPERS } from '@compas/core';
import { InWorkshop } from '../access/inWorkshop.js';
import { Computing } from '../compute/computing.js';
import { ChoiceField, CoreType } from '../edge/fields.js';
import type { OrderView } from '../order/order.dto.js';
import { OrderService } from '../order/order.service.js';
import { WorkshopService } from '../workshop/workshop.service.js';
import { Delivery } from './delivery.js';

class PaperDto {
  @ChoiceField(PAPERS) paper: Paper;
}

class DeliveryView {
  @CoreType('DeliveredLine', { list: true }) lines: DeliveredLine[];
}

/** What goes with an order: of what is ready now, or of what was handed over. */
@ApiTags('files')
@Controller('orders/:id')
@InWorkshop()
export class DeliveryController {
  constructor(
    private readonly orders: OrderService,
    private readonly delivery: Delivery,
    private readonly workshop: WorkshopService,
    private readonly computing: Computing,
  ) {}

  @Get('delivery')
  @ApiOkResponse({ type: DeliveryView })
  async show(@Param('id', ParseUUIDPipe) id: string): Promise<DeliveryView> {
    const { body } = await this.workshop.show();
    return { lines: await this.linesOf(await this.orders.show(id), body.hours.timeZone, Date.now()) };
  }

  @Get('delivery.pdf')
  @Header('content-type', 'application/pdf')
  @ApiProduces('application/pdf')
  async sheet(@Param('id', ParseUUIDPipe) id: string, @Query() { paper }: PaperDto): Promise<StreamableFile> {
    const now = Date.now();
    const order = await this.orders.show(id);
    const { name, body } = await this.workshop.show();
    const { timeZone } = body.hours;
    const bytes = await this.computing.run('delivery', {
      from: name,
      to: order.customer,
      due: order.due === null ? null : dayWords(Date.parse(order.due), 'UTC'),
      day: dayWords(now, timeZone),
      lines: await this.linesOf(order, timeZone, now),
      paper,
    });
    return new StreamableFile(bytes);
  }

  private linesOf(order: OrderView, timeZone: string, now: number): Promise<DeliveredLine[]> {
    return this.delivery.linesOf(order, now, (at) => clockWords(at, timeZone));
  }
}

const DAY = { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' } as const;

const dayWords = (at: number, timeZone: string): string =>
  new Date(at).toLocaleDateString('en-GB', { ...DAY, timeZone });

const clockWords = (at: number, timeZone: string): string =>
  new Date(at).toLocaleString('en-GB', { ...DAY, hour: '2-digit', minute: '2-digit', timeZone });
