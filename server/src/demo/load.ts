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
import { DEMO_MAKER } from './workshop.js';
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
DELETE FROM workshops WHERE demo;
DELETE FROM users u WHERE u.seeded AND NOT EXISTS (SELECT 1 FROM memberships m WHERE m.user_id = u.id);`;

const LOADING = 1_796_000_002;

/** Its maker comes in last, by the one link that was ever given to it: while that is open, or they are not there, it was cut short. */
const STATE = `
SELECT NOT EXISTS (SELECT 1 FROM workshops) AS empty,
  EXISTS (SELECT 1 FROM workshops w WHERE w.demo AND (
    NOT EXISTS (SELECT 1 FROM users u WHERE u.seeded AND u.email = $1)
    OR (EXISTS (SELECT 1 FROM invites i WHERE i.workshop_id = w.id AND i.used_at IS NULL)
      AND NOT EXISTS (SELECT 1 FROM users u JOIN memberships m ON m.user_id = u.id AND m.workshop_id = w.id WHERE u.email = $1))
  )) AS unfinished`;

/** Loads the demo workshop into an empty database; with --reset it is dropped and loaded anew. */
const settings = settingsFromEnvironment();
const reset = process.argv.includes('--reset');
const source = await ownerDataSource(settings.ownerUrl, new URL(settings.databaseUrl).username).initialize();
const owner = source.createQueryRunner();
// two first starts at once load it one after the other, and the second finds it there
await owner.query('SELECT pg_advisory_lock($1)', [LOADING]);
const [{ empty, unfinished }] = (await owner.query(STATE, [DEMO_MAKER.email])) as [
  { empty: boolean; unfinished: boolean },
];
if (unfinished && !reset) console.log('The demo workshop was not loaded to its end: it is loaded anew.');
if (reset || unfinished) await owner.query(DROP_DEMO);
if (empty || reset || unfinished) {
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
await owner.release();
await source.destroy();
