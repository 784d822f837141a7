import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LedgerEntity } from './stock.entity.js';
import { LedgerService } from './ledger.service.js';

/** The ledger alone: kits are booked in it too. */
@Module({
  imports: [TypeOrmModule.forFeature([LedgerEntity])],
  providers: [LedgerService],
  exports: [LedgerService],
})
export class LedgerModule {}
