import { Module } from '@nestjs/common';
import { LedgerService } from './ledger.service.js';

/** The ledger alone: kits are booked in it too. */
@Module({ providers: [LedgerService], exports: [LedgerService] })
export class LedgerModule {}
