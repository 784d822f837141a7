import { randomUUID } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import { newWorkshop } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { AccessService } from '../src/access/access.service.js';
import { AccessStore } from '../src/access/accessStore.js';
import type { Settings } from '../src/database/settings.js';
import { settingsFromEnvironment } from '../src/database/settings.js';
import { newOwner, openApp, PASSWORD, visitor, type Visitor } from './app.js';

const SEEDED = { email: 'a-seeded@example.test', name: 'Seeded One' };
const DEMO = randomUUID();

let app: NestExpressApplication;
const opened = async (change: Partial<Settings> = {}) => {
  app = await openApp({ offerDemo: true, ...change });
  return app;
};
afterEach(() => app.close());

/** A demo workshop with its one seeded owner, once. */
beforeAll(async () => {
  await opened();
  const store = app.get(AccessStore);
  const id = randomUUID();
  await store.createSeeded(id, SEEDED.email, SEEDED.name, await hash(PASSWORD));
  await store.createWorkshop(DEMO, 'A demo', newWorkshop('UTC', 'mm'), id, true);
  await app.close();
});

const enter = (browser: Visitor) => browser.post('/api/session/demo');
const detail = (body: unknown): string => (body as { detail: string }).detail;

describe('the door of the demo', () => {
  it('leads to the person that was made with it, not to an owner with an account of their own', async () => {
    await opened();
    // somebody real who got into the demo before the door was mended
    const real = await newOwner(app);
    const { userId } = (await real.get('/api/session').expect(200)).body as { userId: string };
    const { Client } = await import('pg');
    const client = new Client({ connectionString: settingsFromEnvironment().ownerUrl });
    await client.connect();
    await client.query(`INSERT INTO memberships VALUES ($1, $2, 'owner')`, [DEMO, userId]);
    await client.end();
    for (let i = 0; i < 3; i++) {
      const { body } = await enter(visitor(app)).expect(200);
      expect(body).toMatchObject({ userName: SEEDED.name });
    }
  });

  it('takes nobody in by invitation, neither made now nor before', async () => {
    await opened();
    const demo = visitor(app);
    await enter(demo).expect(200);
    const refused = await demo.post('/api/members/invites').send({ role: 'owner' }).expect(403);
    expect(detail(refused.body)).toContain('The demo workshop takes nobody in');
    // a link from before the door was mended
    const { userId } = (await demo.get('/api/session').expect(200)).body as { userId: string };
    const { WorkshopTransaction } = await import('../src/database/workshopTransaction.js');
    const link = await app
      .get(WorkshopTransaction)
      .run(DEMO, userId, () => app.get(AccessService).issue('owner'));
    const real = await newOwner(app);
    await real.get(`/api/invitations/${link!.token}`).expect(404);
    await real.post(`/api/invitations/${link!.token}/accept`).expect(404);
    const { body } = await real.get('/api/session').expect(200);
    expect((body as { workshops: unknown[] }).workshops).toHaveLength(1);
  });

  it('is shut with the demo: no button, no sign-in, and whoever was in is out', async () => {
    await opened();
    const before = visitor(app);
    const { headers } = await enter(before).expect(200);
    const cookie = String(headers['set-cookie']).split(';')[0] ?? '';
    await app.close();
    await opened({ offerDemo: false });
    const browser = visitor(app);
    await enter(browser).expect(404);
    const { body } = await browser.get('/api/session').expect(200);
    expect(body).toMatchObject({ userId: null, demo: false });
    await browser.get('/api/patterns').set('cookie', cookie).expect(401);
    await browser.post('/api/session').send({ email: SEEDED.email, password: PASSWORD }).expect(401);
  });
});

describe('new people', () => {
  const account = () => ({
    name: 'Ode',
    email: `person.${randomUUID()}@example.test`,
    password: PASSWORD,
    workshop: 'Shop',
    timeZone: 'UTC',
    units: 'mm',
  });
  const linkOf = async (owner: Visitor) =>
    ((await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201)).body as { token: string })
      .token;
  const join = (token: string) => {
    const { name, email, password } = account();
    return visitor(app).post(`/api/invitations/${token}`).send({ name, email, password });
  };

  it('come in freely, by invitation only, or not at all', async () => {
    await opened();
    const [one, two] = [await linkOf(await newOwner(app)), await linkOf(await newOwner(app))];
    await app.close();
    await opened({ signUp: 'invited' });
    const refused = await visitor(app).post('/api/session/account').send(account()).expect(403);
    expect(detail(refused.body)).toContain('by invitation only');
    expect((await visitor(app).get('/api/session').expect(200)).body).toMatchObject({ signUp: false });
    await join(one).expect(204);
    await app.close();
    await opened({ signUp: 'off' });
    await visitor(app).post('/api/session/account').send(account()).expect(403);
    expect(detail((await join(two).expect(403)).body)).toContain('No new people are taken in here');
  });
});

describe('what is set at the start', () => {
  const read = (env: Record<string, string | undefined>): Settings => {
    const before = { ...process.env };
    Object.assign(process.env, env);
    for (const [key, value] of Object.entries(env)) if (value === undefined) delete process.env[key];
    try {
      return settingsFromEnvironment();
    } finally {
      process.env = before;
    }
  };
  beforeEach(() => opened());

  it.each([
    ['127.0.0.1', undefined, true],
    ['0.0.0.0', undefined, false],
    ['0.0.0.0', 'on', true],
    ['127.0.0.1', 'off', false],
  ])('at %s with the demo %s it is offered: %s', (HOST, COMPAS_DEMO, offered) =>
    expect(read({ HOST, COMPAS_DEMO }).offerDemo).toBe(offered),
  );

  it('a word that nobody knows is refused, not taken for open', () => {
    expect(read({ COMPAS_SIGNUP: undefined }).signUp).toBe('open');
    expect(() => read({ COMPAS_SIGNUP: 'closed' })).toThrow('Set it to one of open, invited, off.');
  });
});
