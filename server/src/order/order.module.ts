import { Module } from '@nestjs/common';
import { BatchModule } from '../batch/batch.module.js';
import { OrderBook } from './orderBook.js';
import { OrderController } from './order.controller.js';
import { OrderService } from './order.service.js';

@Module({
  imports: [BatchModule],
  controllers: [OrderController],
  providers: [OrderBook, OrderService],
  exports: [OrderService],
})
export class OrderModule {}
