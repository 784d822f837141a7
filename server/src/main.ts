import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { AppModule } from './app.module.js';
import { configure } from './configure.js';
import { settingsFromEnvironment } from './database/settings.js';

const settings = settingsFromEnvironment();
const httpsOptions = settings.tls
  ? { cert: readFileSync(settings.tls.cert), key: readFileSync(settings.tls.key) }
  : undefined;
const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
  bodyParser: false,
  logger: ['error', 'warn'],
  ...(httpsOptions ? { httpsOptions } : {}),
});
configure(app, settings);
try {
  await app.listen(settings.port, settings.host);
} catch (error) {
  console.error(
    `compas: ${settings.host}:${settings.port} cannot be served: ${error instanceof Error ? error.message : String(error)}`,
  );
  process.exit(1);
}
process.send?.('listening');
