import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { AppModule } from '../app.module.js';
import { AccessModule } from '../access/access.module.js';
import { BatchModule } from '../batch/batch.module.js';
import { DryingModule } from '../drying/drying.module.js';
import { WorkshopModule } from '../workshop/workshop.module.js';
import { StockModule } from '../stock/stock.module.js';
import { HardwareModule } from '../hardware/hardware.module.js';
import { OrderModule } from '../order/order.module.js';
import { PatternModule } from '../pattern/pattern.module.js';
import { ownerDataSource } from '../database/ownerDataSource.js';
import { settingsFromEnvironment, type Settings } from '../database/settings.js';
import { DemoService } from './demo.service.js';
import { Module } from '@nestjs/common';

@Module({})
class DemoModule {
  static with(settings: Settings) {
    return {
      module: DemoModule,
      imports: [
        AppModule.with(settings),
        AccessModule,
        BatchModule,
        HardwareModule,
        OrderModule,
        PatternModule,
        StockModule,
        DryingModule,
        WorkshopModule,
      ],
      providers: [DemoService],
    };
  }
}

const DROP_DEMO = `
DELETE FROM order_lines l USING workshops w WHERE w.id = l.workshop_id AND w.demo;
DELETE FROM batches b USING workshops w WHERE w.id = b.workshop_id AND w.demo;
DELETE FROM users u USING memberships m, workshops w WHERE m.user_id = u.id AND w.id = m.workshop_id AND w.demo
  AND NOT EXISTS (SELECT 1 FROM memberships x JOIN workshops y ON y.id = x.workshop_id WHERE x.user_id = u.id AND NOT y.demo);
DELETE FROM workshops WHERE demo;`;

/** Loads the demo workshop into an empty database; with --reset it is dropped and loaded anew. */
const settings = settingsFromEnvironment();
const reset = process.argv.includes('--reset');
const owner = await ownerDataSource(settings.ownerUrl, new URL(settings.databaseUrl).username).initialize();
if (reset) await owner.query(DROP_DEMO);
const [{ empty }] = await owner.query<[{ empty: boolean }]>(
  'SELECT NOT EXISTS (SELECT 1 FROM workshops) AS empty',
);
await owner.destroy();
if (empty || reset) {
  const app = await NestFactory.createApplicationContext(
    DemoModule.with({ ...settings, webFolder: null, threads: 0 }),
    {
      logger: ['error', 'warn'],
    },
  );
  await app.get(DemoService).load(Date.now());
  await app.close();
  console.log('Demo workshop loaded.');
}
