import { freshKit, KIT_KIND_LIST, KIT_KINDS } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { choices, newOwner, newPattern, openApp, snapshotAt, stopper, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

const insert = (change: object = {}) => ({
  kind: 'tapped-insert',
  name: 'Carafe base',
  onHand: 6,
  baseDiameter: { mm: 32 },
  insertDiameter: { mm: 11.5, typed: '11.5' },
  insertLength: { mm: 20 },
  thread: 'M8',
  glue: 'epoxy',
  ...change,
});

describe('kits', () => {
  it('are kept as they were typed, changed and taken away', async () => {
    const made = await owner.post('/api/kits').send({ kit: insert() }).expect(201);
    const { id, ...rest } = made.body.kit as { id: string };
    expect(rest).toEqual(insert());
    await owner
      .put(`/api/kits/${id}`)
      .send({ kit: insert({ onHand: 5 }), basedOn: 1 })
      .expect(200);
    expect((await owner.get('/api/kits')).body.kits).toEqual([
      { kit: { ...insert({ onHand: 5 }), id }, version: 2 },
    ]);
    await owner.delete(`/api/kits/${id}`).expect(204);
    expect((await owner.get('/api/kits')).body.kits).toEqual([]);
  });

  it('keep the raw text of a number that was put right', async () => {
    const corrected = { mm: 7.9375, typed: '5/16"', correction: { raw: '5 1/16', reason: 'lost its slash' } };
    const { body } = await owner.post('/api/kits').send({ kit: insert({ insertDiameter: corrected }) });
    expect(body.kit.insertDiameter).toEqual(corrected);
  });

  it('of an unknown kind, with a field of another kind, or measured on the wrong face are refused', async () => {
    const unknown = await owner
      .post('/api/kits')
      .send({ kit: insert({ kind: 'magnet' }) })
      .expect(400);
    expect(unknown.body.detail).toContain('Kind is "magnet". Choose one of tapped-insert');
    const mixed = await owner
      .post('/api/kits')
      .send({ kit: insert({ bore: { mm: 20 } }) })
      .expect(400);
    expect(mixed.body.detail).toBe('"bore" is not a field that is known here.');
    const flange = await owner
      .post('/api/kits')
      .send({ kit: insert({ insertDiameter: { mm: 40 } }) })
      .expect(422);
    expect(flange.body.errors[0]).toMatchObject({ field: 'insertDiameter' });
  });

  it('give their holes, glue and mating diameter to the plan', async () => {
    const kitId = (await owner.post('/api/kits').send({ kit: insert() })).body.kit.id as string;
    const body = stopper();
    body.hardware = [{ id: 'h1', kitId, partId: 'part1', end: 'reference' }];
    const pattern = await newPattern(owner, body);
    const batch = await owner
      .post('/api/batches')
      .send({ ...choices(8), patternId: pattern.id, revision: 1, name: 'B', customer: 'C' })
      .expect(201);
    const { plan } = await snapshotAt(owner, batch.body as { planHash: string });
    expect(plan.parts[0].drilling[0]?.toShoulder).toBe(21.5);
    // the workshop is new: it owns no bit and no glue, and six kits are too few for eight pieces
    expect(plan.findings.map((f) => f.id)).toEqual(
      expect.arrayContaining(['assemble.glue.part1', 'assemble.kits.part1']),
    );
    expect(plan.findings.some((f) => f.id.startsWith('drill.bit'))).toBe(true);
  });
});

describe('every kind of kit', () => {
  it.each(KIT_KIND_LIST)('%s is kept at its usual sizes, and asks for each of them', async (kind) => {
    const kit = freshKit(kind);
    const made = await owner.post('/api/kits').send({ kit }).expect(201);
    expect(made.body.kit).toMatchObject(kit);
    const [length] = KIT_KINDS[kind].lengths;
    const without = Object.fromEntries(Object.entries(kit).filter(([key]) => key !== length?.key));
    const refused = await owner.post('/api/kits').send({ kit: without }).expect(400);
    expect(refused.body.errors[0].field).toContain(length?.key);
    await owner.delete(`/api/kits/${made.body.kit.id as string}`).expect(204);
  });
});

describe('a person with two workshops', () => {
  it('works in one at a time, and enters only their own', async () => {
    const first = (await owner.get('/api/session')).body as { workshopId: string };
    await owner.post('/api/kits').send({ kit: insert() }).expect(201);
    const second = await owner
      .post('/api/session/workshops')
      .send({ workshop: 'Second', timeZone: 'UTC', units: 'inch' })
      .expect(200);
    expect(second.body.workshops).toHaveLength(2);
    expect((await owner.get('/api/kits')).body.kits).toEqual([]);
    await owner.put('/api/session/workshop').send({ workshopId: first.workshopId }).expect(200);
    expect((await owner.get('/api/kits')).body.kits).toHaveLength(1);
    const stranger = await newOwner(app);
    await stranger.put('/api/session/workshop').send({ workshopId: first.workshopId }).expect(404);
  });

  it('cannot begin one in a time zone that does not exist', async () => {
    const refused = await owner
      .post('/api/session/workshops')
      .send({ workshop: 'X', timeZone: 'Atlantis/Deep', units: 'mm' })
      .expect(400);
    expect(refused.body.detail).toBe(
      'Time zone reads "Atlantis/Deep". No clock here knows that zone. Give it like Europe/Berlin.',
    );
  });
});
