import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { KitEntity } from './kit.entity.js';
import { HardwareController } from './hardware.controller.js';
import { LedgerModule } from '../stock/ledger.module.js';
import { KitService } from './kit.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([KitEntity]), LedgerModule],
  controllers: [HardwareController],
  providers: [KitService],
  exports: [KitService],
})
export class HardwareModule {}
