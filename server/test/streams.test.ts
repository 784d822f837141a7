import { randomUUID } from 'node:crypto';
import { request as ask, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DataSource } from 'typeorm';
import { Notices } from '../src/batch/notices.js';
import { newBatch, newOwner, openApp, PASSWORD, tabletFrom } from './app.js';

/** Soon enough for a test. */
const BEAT = 150;
let app: NestExpressApplication;
beforeEach(async () => {
  app = await openApp({ beat: BEAT });
});
afterEach(() => app.close());

const done = () => ({
  ...tabletFrom(Date.now())(1, { kind: 'done', stepId: 'saw:blank part1' }),
  device: randomUUID(),
});
const portOf = () => (app.getHttpServer().address() as AddressInfo).port;

/** Somebody signed in, by their cookie as a browser keeps it. */
async function signedIn(email: string): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${portOf()}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-compas': '1' },
    body: JSON.stringify({ email, password: PASSWORD }),
  });
  return answer.headers.getSetCookie()[0]?.split(';')[0] ?? '';
}

interface Stream {
  answer: IncomingMessage;
  /** names of what was said so far */
  events: string[];
  until: (event: string, times?: number) => Promise<void>;
  ended: Promise<void>;
}

function follow(batch: { id: string }, cookie: string): Promise<Stream> {
  return new Promise((opened, failed) => {
    const asked = ask(
      {
        port: portOf(),
        path: `/api/batches/${batch.id}/stream`,
        headers: { cookie, 'accept-encoding': 'gzip' },
      },
      (answer) => {
        const events: string[] = [];
        answer.on('data', (text: Buffer) => {
          for (const [, name = ''] of String(text).matchAll(/^event: (\w+)$/gm)) events.push(name);
        });
        const until = async (event: string, times = 1) => {
          while (events.filter((e) => e === event).length < times)
            await new Promise((later) => setTimeout(later, 10));
        };
        opened({ answer, events, until, ended: new Promise((over) => answer.on('close', () => over())) });
      },
    );
    asked.on('error', failed);
    asked.end();
  });
}

/** An owner with a batch, and what follows it. */
async function followed() {
  const owner = await newOwner(app);
  const batch = await newBatch(owner);
  const cookie = await signedIn(owner.email);
  return { owner, batch, cookie, stream: await follow(batch, cookie) };
}

/** Until every transaction of now is over; other tests have theirs, and one that a stream held would never be. */
async function noneOpenSince(): Promise<void> {
  const source = app.get(DataSource);
  const [{ now }] = await source.query<[{ now: Date }]>('SELECT clock_timestamp() AS now');
  for (;;) {
    const [{ open }] = await source.query<[{ open: number }]>(
      `SELECT count(*)::int AS open FROM pg_stat_activity
       WHERE datname = current_database() AND pid <> pg_backend_pid() AND xact_start <= $1`,
      [now],
    );
    if (open === 0) return;
    await new Promise((later) => setTimeout(later, 50));
  }
}

describe('whoever follows a batch', () => {
  it('is told when something is recorded on it, uncompressed and with no transaction open, and never of another', async () => {
    const { owner, batch, stream } = await followed();
    expect(stream.answer.headers).toMatchObject({ 'content-type': 'text/event-stream' });
    expect(stream.answer.headers['content-encoding']).toBeUndefined();
    await stream.until('live');
    await noneOpenSince();
    const told = () => stream.events.filter((e) => e === 'recorded').length;
    const before = told();
    const another = await newBatch(owner);
    await owner
      .post(`/api/batches/${another.id}/events`)
      .send({ events: [done()] })
      .expect(200);
    await stream.until('beat', 2);
    expect(told()).toBe(before);
    await owner
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: [done()] })
      .expect(200);
    await stream.until('recorded', before + 1);
    await owner.post(`/api/batches/${batch.id}/spares`).send({ partId: 'part1', count: 1 }).expect(201);
    await stream.until('recorded', before + 2);
  });

  it('is told by another server on the same database', async () => {
    const { owner, batch, stream } = await followed();
    await stream.until('live');
    const before = stream.events.filter((e) => e === 'recorded').length;
    const other = await openApp();
    const there = await owner.get('/api/session').expect(200);
    expect(there.body.userId).toBeTruthy();
    await fetch(
      `http://127.0.0.1:${(other.getHttpServer().address() as AddressInfo).port}/api/batches/${batch.id}/events`,
      {
        method: 'POST',
        headers: {
          'content-type': 'application/json',
          'x-compas': '1',
          cookie: await signedIn(owner.email),
        },
        body: JSON.stringify({ events: [done()] }),
      },
    );
    await stream.until('recorded', before + 1);
    await other.close();
  });

  it('goes on after the listening connection is lost, and looks for what came meanwhile', async () => {
    const { owner, batch, stream } = await followed();
    await stream.until('live');
    await app
      .get(DataSource)
      .query(
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND query LIKE 'LISTEN%'`,
      );
    await stream.until('quiet', 2);
    const before = stream.events.filter((e) => e === 'recorded').length;
    await owner
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: [done()] })
      .expect(200);
    await stream.until('live', 2);
    await stream.until('recorded', before + 1);
  });

  it('is let go with their session, with their membership, and first of all when the server stops', async () => {
    const { owner, batch, cookie, stream } = await followed();
    await fetch(`http://127.0.0.1:${portOf()}/api/session`, {
      method: 'DELETE',
      headers: { 'x-compas': '1', cookie },
    });
    await stream.ended;

    const maker = await newOwner(app);
    const { body } = await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201);
    await maker.post(`/api/invitations/${(body as { token: string }).token}/accept`).expect(204);
    const makers = await signedIn(maker.email);
    const { workshops, userId } = (await maker.get('/api/session').expect(200)).body as {
      userId: string;
      workshops: { id: string; role: string }[];
    };
    await fetch(`http://127.0.0.1:${portOf()}/api/session/workshop`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'x-compas': '1', cookie: makers },
      body: JSON.stringify({ workshopId: workshops.find((w) => w.role === 'maker')?.id }),
    });
    const theirs = await follow(batch, makers);
    await theirs.until('beat');
    await owner.delete(`/api/members/${userId}`).expect(204);
    await theirs.ended;
    expect((await follow(batch, makers)).answer.statusCode).toBe(403);

    const last = await follow(batch, await signedIn(owner.email));
    await last.until('beat');
    app.get(Notices).endAll();
    // what it is told of while it ends is nobody's any more
    await owner
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: [done()] })
      .expect(200);
    await last.ended;
    const late = await follow(batch, await signedIn(owner.email));
    await late.ended;
  });

  it('must be signed in, and sees no batch of another workshop', async () => {
    const { batch } = await followed();
    const stranger = await newOwner(app);
    expect((await follow(batch, '')).answer.statusCode).toBe(401);
    expect((await follow(batch, await signedIn(stranger.email))).answer.statusCode).toBe(404);
  });
});
