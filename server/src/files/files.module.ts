import { Module } from '@nestjs/common';
import { BatchModule } from '../batch/batch.module.js';
import { OrderModule } from '../order/order.module.js';
import { PatternModule } from '../pattern/pattern.module.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { Delivery } from './delivery.js';
import { DeliveryController } from './delivery.controller.js';
import { FilesController } from './files.controller.js';
import { PrintController } from './print.controller.js';

@Module({
  imports: [BatchModule, OrderModule, PatternModule, WorkshopModule],
  controllers: [FilesController, DeliveryController, PrintController],
  providers: [Delivery],
})
export class FilesModule {}
