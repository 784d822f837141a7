import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import {
  STARTING_FORMS,
  type PatternBody,
  type PlanSnapshot,
  type RunEvent,
  type RunEventBody,
} from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Test } from '@nestjs/testing';
import request from 'supertest';
import { AppModule } from '../src/app.module.js';
import { configure } from '../src/configure.js';
import { settingsFromEnvironment, type Settings } from '../src/database/settings.js';

/** The whole application on real PostgreSQL, spoken to over HTTP. */
export async function openApp(change: Partial<Settings> = {}): Promise<NestExpressApplication> {
  const settings = { ...settingsFromEnvironment(), webFolder: null, threads: 0, tries: 100_000, ...change };
  const module = await Test.createTestingModule({ imports: [AppModule.with(settings)] }).compile();
  const app = module.createNestApplication<NestExpressApplication>({ bodyParser: false, logger: ['error'] });
  configure(app, settings);
  // over real connections: without a port of its own the test client asks one thing after another
  await app.listen(0, '127.0.0.1');
  return app;
}

/** A browser of its own: keeps its cookie and sends our header. */
export function visitor(app: NestExpressApplication) {
  return request.agent(app.getHttpServer()).set('x-compas', '1');
}

export type Visitor = ReturnType<typeof visitor>;

interface NewBatch {
  id: string;
  patternId: string;
  planVersion: number;
  planHash: string;
  lastEvent: number;
}

export const PASSWORD = 'a long enough password';

/** Somebody with a new workshop, signed in. */
export async function newOwner(app: NestExpressApplication): Promise<Visitor & { email: string }> {
  const email = `person.${randomUUID()}@example.test`;
  const browser = visitor(app);
  const body = {
    name: 'Ode Tamber',
    email,
    password: PASSWORD,
    workshop: 'Shop',
    timeZone: 'UTC',
    units: 'mm',
  };
  await browser.post('/api/session/account').send(body).expect(200);
  return Object.assign(browser, { email });
}

export const stopper = (): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === 'stopper');
  if (!form) throw new Error('The stopper form is gone.');
  return form.body({}, 'maple');
};

export async function newPattern(
  browser: Visitor,
  body: PatternBody = stopper(),
): Promise<{ id: string; revision: number }> {
  const answer = await browser.post('/api/patterns').send({ name: 'Stopper', body }).expect(201);
  return answer.body as { id: string; revision: number };
}

/** Makes events of one tablet, a second apart, each later than the one before. */
export function tabletFrom(start = Date.UTC(2026, 2, 2, 8)) {
  let sequence = 0;
  return (piece: number, body: RunEventBody): RunEvent => {
    sequence += 1;
    return {
      id: randomUUID(),
      piece,
      at: new Date(start + 1000 * sequence).toISOString(),
      device: 'tablet',
      sequence,
      planVersion: 1,
      body,
    };
  };
}

export const choices = (pieces = 3) => ({
  pieces,
  start: '2026-03-02T08:00',
  due: null,
  materialId: 'maple',
  finishId: null,
  perBlank: 1,
  mount: null,
  schools: { speed: 'rpm-diameter', batching: 'by-operation' },
});

/** The plan that a batch follows, at its address. */
export async function snapshotAt(
  browser: Visitor,
  { planHash }: { planHash: string },
): Promise<PlanSnapshot> {
  const answer = await browser.get(`/api/snapshots/${planHash}`).expect(200);
  return (answer.body as { snapshot: PlanSnapshot }).snapshot;
}

/** All that was recorded on a batch, in the order in which it was stored. */
export async function eventsOf(browser: Visitor, { id }: { id: string }, after = 0): Promise<RunEvent[]> {
  const answer = await browser.get(`/api/batches/${id}/events?after=${after}`).expect(200);
  return (answer.body as { events: RunEvent[] }).events;
}

export async function newBatch(browser: Visitor, pieces = 3): Promise<NewBatch> {
  const pattern = await newPattern(browser);
  const answer = await browser
    .post('/api/batches')
    .send({ ...choices(pieces), patternId: pattern.id, revision: 1, name: 'Batch', customer: 'Somebody' })
    .expect(201);
  return answer.body as NewBatch;
}

/** How many do something at once where two hands meet. */
export const AT_ONCE = 6;

/** So many at the same time, each with its number. */
export const together = <T>(work: (i: number) => PromiseLike<T>): Promise<T[]> =>
  Promise.all(Array.from({ length: AT_ONCE }, (_, i) => Promise.resolve(work(i))));
