import { Module } from '@nestjs/common';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { DryingController } from './drying.controller.js';
import { DryingService } from './drying.service.js';

@Module({
  imports: [WorkshopModule],
  controllers: [DryingController],
  providers: [DryingService],
  exports: [DryingService],
})
export class DryingModule {}
