import { Global, Module, type DynamicModule } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Answers } from './answers.js';
import { RoleCheck } from './roleCheck.js';
import type { Settings } from './settings.js';
import { SharedRows } from './sharedRow.js';
import { SteadyClient } from './steadyClient.js';
import { WorkshopTransaction } from './workshopTransaction.js';

/** Whoever waits longer for a connection is told that the database is out of reach, ms. */
export const CONNECT_WITHIN = 5_000;

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
          // each room registers its own entities with TypeOrmModule.forFeature
          autoLoadEntities: true,
          poolSize: 12,
          extra: { connectionTimeoutMillis: CONNECT_WITHIN, Client: SteadyClient },
          retryAttempts: 3,
        }),
      ],
      providers: [WorkshopTransaction, SharedRows, Answers, RoleCheck],
      exports: [WorkshopTransaction, SharedRows, Answers],
    };
  }
}
