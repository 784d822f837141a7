import 'reflect-metadata';
import { writeFileSync } from 'node:fs';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import { AppModule } from './app.module.js';
import { documentConfig } from './configure.js';
import type { Settings } from './database/settings.js';

/** Writes the OpenAPI document without a database: the web's client is generated from it. */
const settings: Settings = {
  databaseUrl: '',
  ownerUrl: '',
  sessionSecret: 'none',
  host: '',
  port: 0,
  tls: null,
  webFolder: null,
  offerDemo: false,
  signUp: 'open',
  hosts: [],
  proxies: [],
  threads: 0,
  beat: 0,
  tries: 0,
};
const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
  preview: true,
  abortOnError: false,
  logger: ['error'],
});
app.setGlobalPrefix('api');
writeFileSync(
  process.argv[2] ?? 'openapi.json',
  JSON.stringify(SwaggerModule.createDocument(app, documentConfig()), null, 1),
);
process.exit(0);
