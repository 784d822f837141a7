import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Test } from '@nestjs/testing';
import { Client } from 'pg';
import { AppModule } from '../src/app.module.js';
import { settingsFromEnvironment } from '../src/database/settings.js';
import { newBatch, newOwner, newPattern, openApp, stopper, type Visitor } from './app.js';

let app: NestExpressApplication;
let here: Visitor;
let there: Visitor;
let database: Client;

beforeAll(async () => {
  app = await openApp();
  database = new Client({ connectionString: settingsFromEnvironment().databaseUrl });
  await database.connect();
});
beforeEach(async () => {
  here = await newOwner(app);
  there = await newOwner(app);
});
afterAll(async () => {
  await database.end();
  await app.close();
});

const event = (id: string = randomUUID()) => ({
  id,
  piece: 1,
  at: '2026-03-02T08:00:00.000Z',
  device: 'tablet',
  sequence: 1,
  planVersion: 1,
  body: { kind: 'measured', stepId: 'measure', stationId: 'start', mm: 32.1, typed: '32.1' },
});

const workshopOf = async (browser: Visitor): Promise<string> =>
  (await browser.get('/api/workshop')).body.id as string;

/** Runs SQL as the application's role with a workshop set, and rolls it back. */
async function within<T>(workshopId: string | null, work: () => Promise<T>): Promise<T> {
  await database.query('BEGIN');
  try {
    if (workshopId !== null)
      await database.query(`SELECT set_config('compas.workshop_id', $1, true)`, [workshopId]);
    return await work();
  } finally {
    await database.query('ROLLBACK');
  }
}

describe('another workshop', () => {
  it('is answered with 404 for every id of ours', async () => {
    const pattern = await newPattern(here);
    const batch = await newBatch(here);
    const kit = {
      kind: 'ferrule',
      name: 'F',
      onHand: 1,
      bore: { mm: 20 },
      outsideDiameter: { mm: 22 },
      length: { mm: 18 },
      tangDiameter: { mm: 8 },
      tangLength: { mm: 40 },
      glue: 'epoxy',
    };
    const kitId = (await here.post('/api/kits').send({ kit }).expect(201)).body.kit.id as string;
    await there.get(`/api/patterns/${pattern.id}`).expect(404);
    await there.get(`/api/patterns/${pattern.id}/revisions`).expect(404);
    await there
      .put(`/api/patterns/${pattern.id}`)
      .send({ name: 'Mine', body: stopper(), basedOn: 1 })
      .expect(404);
    await there.delete(`/api/patterns/${pattern.id}`).expect(404);
    await there.get(`/api/batches/${batch.id}`).expect(404);
    await there.get(`/api/batches/${batch.id}/prints/stick?paper=A4&format=pdf`).expect(404);
    await there
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: [event()] })
      .expect(404);
    await there.put(`/api/batches/${batch.id}/put-away`).send({ putAway: true }).expect(404);
    await there.put(`/api/kits/${kitId}`).send({ kit, basedOn: 1 }).expect(404);
    await there.get(`/api/snapshots/${batch.planHash}`).expect(404);
    expect((await there.get(`/api/batches/${batch.id}/events?after=0`)).body.events).toEqual([]);
    const tag = { 'if-none-match': `"${batch.planHash}"` };
    await there.get(`/api/snapshots/${batch.planHash}`).set(tag).expect(404);
    await here.get(`/api/snapshots/${batch.planHash}`).set(tag).expect(304);
    await there.delete(`/api/kits/${kitId}`).expect(404);
    expect((await here.get('/api/kits')).body.kits).toHaveLength(1);
  });

  it('may have an event of the same id: both are stored', async () => {
    const id = randomUUID();
    for (const browser of [here, there]) {
      const batch = await newBatch(browser);
      const sent = await browser
        .post(`/api/batches/${batch.id}/events`)
        .send({ events: [event(id)] })
        .expect(200);
      expect(sent.body).toMatchObject({ stored: 1, known: 0, setAside: [] });
    }
  });
});

describe('row security', () => {
  const tables = [
    'workshops',
    'kits',
    'patterns',
    'pattern_revisions',
    'orders',
    'order_lines',
    'batches',
    'plan_versions',
    'pieces',
    'events',
    'readings',
    'set_aside',
  ];

  it.each(tables)('shows no row of %s without a workshop set', async (table) => {
    await newBatch(here, 1);
    const { rows } = await within(null, () => database.query(`SELECT * FROM ${table}`));
    expect(rows).toEqual([]);
  });

  it('keeps a reading from being written for another workshop’s piece', async () => {
    const theirs = await newBatch(there, 1);
    const mine = await workshopOf(here);
    const insert = (workshop: string) =>
      within(mine, async () => {
        const eventId = randomUUID();
        await database.query(
          `INSERT INTO events (workshop_id, id, batch_id, piece, at, device_at, device, sequence, plan_version, body, made_by, sent_by, number)
           SELECT workshop_id, $1, batch_id, number, now(), now(), 'x', 1, 1, '{}', $1, $1, 900 FROM pieces LIMIT 1`,
          [eventId],
        );
        await database.query(`INSERT INTO readings VALUES ($1, $2, $3, 1, 'start', 32, '32')`, [
          workshop,
          eventId,
          theirs.id,
        ]);
      });
    await newBatch(here, 1);
    await expect(insert(mine)).rejects.toThrow(/foreign key/);
    await expect(insert(await workshopOf(there))).rejects.toThrow(/row-level security/);
  });

  it.each(['pattern_revisions', 'plan_versions', 'events', 'readings'])(
    '%s can only be added to',
    async (table) => {
      await expect(
        within(await workshopOf(here), () => database.query(`UPDATE ${table} SET workshop_id = workshop_id`)),
      ).rejects.toThrow(/permission denied/);
      await expect(
        within(await workshopOf(here), () => database.query(`DELETE FROM ${table}`)),
      ).rejects.toThrow(/permission denied/);
    },
  );

  it.each(['users', 'memberships', 'invites'])('%s cannot be read directly', async (table) => {
    await expect(within(null, () => database.query(`SELECT * FROM ${table}`))).rejects.toThrow(
      /permission denied/,
    );
  });

  it('the server refuses a role that owns the tables', async () => {
    const settings = settingsFromEnvironment();
    const start = async () => {
      const module = await Test.createTestingModule({
        imports: [
          AppModule.with({ ...settings, databaseUrl: settings.ownerUrl, webFolder: null, threads: 0 }),
        ],
      }).compile();
      const owned = module.createNestApplication({ logger: false });
      try {
        await owned.init();
      } finally {
        await owned.close().catch(() => undefined);
      }
    };
    await expect(start()).rejects.toThrow(/owns tables/);
  });
});
