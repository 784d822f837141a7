import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { NestFactory } from '@nestjs/core';
import { DataSource } from 'typeorm';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { AppModule } from './app.module.js';
import { Notices } from './batch/notices.js';
import { configure } from './configure.js';
import { settingsFromEnvironment } from './database/settings.js';
import { clockBehind } from './database/clockBehind.js';
import { Drain } from './edge/drain.js';

/** What is asked when it is told to stop is answered within this, ms; then the rest is cut. */
const DRAIN_WITHIN = 8_000;
/** It is gone by then whatever hangs, ms. */
const GONE_WITHIN = 10_000;

const settings = settingsFromEnvironment();
const httpsOptions = settings.tls
  ? { cert: readFileSync(settings.tls.cert), key: readFileSync(settings.tls.key) }
  : undefined;
const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
  bodyParser: false,
  logger: ['error', 'warn'],
  ...(httpsOptions ? { httpsOptions } : {}),
});
const drain = new Drain(app.getHttpServer());
app.use(drain.handler);
configure(app, settings);

let stopping = false;
/** Answers what was asked, then closes the pools; in this order, so that nobody who asked is refused. */
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  setTimeout(() => process.exit(1), GONE_WITHIN).unref();
  app.get(Notices).endAll();
  const all = await drain.end(DRAIN_WITHIN);
  if (!all) console.error('compas: not everybody was answered before the server stopped.');
  await app.close();
  process.exit(0);
}
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'] as const) process.on(signal, () => void stop());
// whoever started it is gone: nobody would stop it any more
process.on('disconnect', () => void stop());

try {
  await app.listen(settings.port, settings.host);
} catch (error) {
  const taken = error instanceof Error && 'code' in error && error.code === 'EADDRINUSE';
  console.error(
    `compas: ${settings.host}:${settings.port} cannot be served: ${taken ? 'something is served there already, perhaps another Compas. Stop it, or set PORT to another number' : error instanceof Error ? error.message : String(error)}.`,
  );
  process.exit(1);
}
const behind = await clockBehind(app.get(DataSource));
if (behind > 0)
  console.warn(
    `compas: the clock of this machine is ${Math.ceil(behind / 60_000)} min behind the newest record. Set it right: until then waits are too long.`,
  );
process.send?.('listening');
