import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseIntPipe,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import {
  ChangeOrderDto,
  LineChoicesDto,
  NewOrderDto,
  OrderClosedDto,
  OrdersDto,
  OrderView,
} from './order.dto.js';
import { OrderBook } from './orderBook.js';
import { OrderService } from './order.service.js';

@ApiTags('order')
@Controller('orders')
@InWorkshop()
export class OrderController {
  constructor(
    private readonly orders: OrderService,
    private readonly book: OrderBook,
  ) {}

  @Get()
  @ApiOkResponse({ type: [OrderView] })
  list(@Query() { closed }: OrdersDto): Promise<OrderView[]> {
    return this.book.list(closed === 'yes');
  }

  @Get(':id')
  @ApiOkResponse({ type: OrderView })
  show(@Param('id', ParseUUIDPipe) id: string): Promise<OrderView> {
    return this.orders.show(id);
  }

  @Post()
  @ApiCreatedResponse({ type: OrderView })
  create(@Body() dto: NewOrderDto): Promise<OrderView> {
    return this.orders.create(dto);
  }

  @Put(':id')
  @ApiOkResponse({ type: OrderView })
  change(@Param('id', ParseUUIDPipe) id: string, @Body() dto: ChangeOrderDto): Promise<OrderView> {
    return this.orders.change(id, dto);
  }

  @Delete(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.orders.remove(id);
  }

  @Put(':id/lines/:number/choices')
  @HttpCode(HttpStatus.NO_CONTENT)
  choose(
    @Param('id', ParseUUIDPipe) id: string,
    @Param('number', ParseIntPipe) number: number,
    @Body() { choices }: LineChoicesDto,
  ): Promise<void> {
    return this.orders.choose(id, number, choices);
  }

  /** Hands over what is ready. */
  @Post(':id/deliveries')
  @ApiCreatedResponse({ type: OrderView })
  handOver(@Param('id', ParseUUIDPipe) id: string): Promise<OrderView> {
    return this.orders.handOver(id);
  }

  /** What was called handed over is here after all. */
  @Delete(':id/deliveries')
  @ApiOkResponse({ type: OrderView })
  takeBack(@Param('id', ParseUUIDPipe) id: string): Promise<OrderView> {
    return this.orders.takeBack(id);
  }

  @Put(':id/closed')
  @ApiOkResponse({ type: OrderView })
  close(@Param('id', ParseUUIDPipe) id: string, @Body() { closed }: OrderClosedDto): Promise<OrderView> {
    return this.orders.close(id, closed);
  }
}
