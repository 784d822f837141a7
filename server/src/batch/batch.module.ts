import { Module } from '@nestjs/common';
import { DryingModule } from '../drying/drying.module.js';
import { HardwareModule } from '../hardware/hardware.module.js';
import { PatternModule } from '../pattern/pattern.module.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { BatchController } from './batch.controller.js';
import { BatchService } from './batch.service.js';
import { EventStore } from './eventStore.js';

@Module({
  imports: [DryingModule, PatternModule, WorkshopModule, HardwareModule],
  controllers: [BatchController],
  providers: [BatchService, EventStore],
  exports: [BatchService, EventStore],
})
export class BatchModule {}
