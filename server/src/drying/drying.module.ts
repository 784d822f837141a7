import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DryingBundleEntity } from './bundle.entity.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { DryingController } from './drying.controller.js';
import { DryingService } from './drying.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([DryingBundleEntity]), WorkshopModule],
  controllers: [DryingController],
  providers: [DryingService],
  exports: [DryingService],
})
export class DryingModule {}
