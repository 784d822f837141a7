import { Module } from '@nestjs/common';
import { HardwareController } from './hardware.controller.js';
import { LedgerModule } from '../stock/ledger.module.js';
import { KitService } from './kit.service.js';

@Module({
  imports: [LedgerModule],
  controllers: [HardwareController],
  providers: [KitService],
  exports: [KitService],
})
export class HardwareModule {}
