import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CuttingEntity, StockItemEntity } from './stock.entity.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { CuttingController } from './cutting.controller.js';
import { CuttingService } from './cutting.service.js';
import { LedgerModule } from './ledger.module.js';
import { StockController } from './stock.controller.js';
import { StockService } from './stock.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([StockItemEntity, CuttingEntity]), LedgerModule, WorkshopModule],
  controllers: [StockController, CuttingController],
  providers: [StockService, CuttingService],
  exports: [StockService, CuttingService],
})
export class StockModule {}
