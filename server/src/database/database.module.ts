import { Global, Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BatchEntity } from '../batch/batch.entity.js';
import { OrderEntity, OrderLineEntity } from '../batch/order.entity.js';
import { PlanVersionEntity } from '../batch/planVersion.entity.js';
import { DryingBundleEntity } from '../drying/bundle.entity.js';
import { KitEntity } from '../hardware/kit.entity.js';
import { PatternEntity, PatternRevisionEntity } from '../pattern/pattern.entity.js';
import { SampleEntity } from '../pattern/sample.entity.js';
import { CuttingEntity, LedgerEntity, StockItemEntity } from '../stock/stock.entity.js';
import { WorkshopEntity } from '../workshop/workshop.entity.js';
import { RoleCheck } from './roleCheck.js';
import type { Settings } from './settings.js';
import { WorkshopTransaction } from './workshopTransaction.js';

const ENTITIES = [
  WorkshopEntity,
  KitEntity,
  PatternEntity,
  PatternRevisionEntity,
  OrderEntity,
  OrderLineEntity,
  BatchEntity,
  PlanVersionEntity,
  SampleEntity,
  StockItemEntity,
  CuttingEntity,
  LedgerEntity,
  DryingBundleEntity,
];

@Global()
@Module({})
export class DatabaseModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [
        TypeOrmModule.forRoot({
          type: 'postgres',
          url: settings.databaseUrl,
          entities: ENTITIES,
          poolSize: 12,
          retryAttempts: 3,
        }),
      ],
      providers: [WorkshopTransaction, RoleCheck],
      exports: [WorkshopTransaction],
    };
  }
}
