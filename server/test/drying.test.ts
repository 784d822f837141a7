import type { NestExpressApplication } from '@nestjs/platform-express';
import { dayAfter, type DryingBundle } from '@compas/core';
import { choices, newOwner, newPattern, openApp, snapshotAt, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

/** Dries from 60 to 12 % or so with a time constant of 12 days. */
const bundle = (change: Partial<DryingBundle> = {}): DryingBundle => ({
  label: 'Birch pins',
  itemId: null,
  materialId: 'birch',
  pieces: 6,
  school: 'dry',
  target: 12,
  startMoisture: 60,
  air: null,
  weighings: [0, 4, 9, 15].map((d) => ({
    day: dayAfter('2026-03-01', d),
    grams: Math.round(2000 * (1 + (10.1 + 49.9 * Math.exp(-d / 12)) / 100)),
  })),
  ...change,
});
const lay = async (change: Partial<DryingBundle> = {}) =>
  (
    await owner
      .post('/api/drying')
      .send({ bundle: bundle(change) })
      .expect(201)
  ).body as { id: string; version: number };

describe('the drying shelf', () => {
  it('keeps weighings in order, refuses weights that go up, and notices two who weigh', async () => {
    const { id } = await lay();
    const more = { ...bundle(), weighings: [...bundle().weighings, { day: '2026-03-20', grams: 2300 }] };
    await owner.put(`/api/drying/${id}`).send({ bundle: more, basedOn: 1 }).expect(200);
    const conflict = await owner.put(`/api/drying/${id}`).send({ bundle: more, basedOn: 1 }).expect(409);
    expect(conflict.body.detail).toContain('weighed or changed “Birch pins” in between');
    const up = { ...more, weighings: [...more.weighings, { day: '2026-03-24', grams: 2900 }] };
    const refused = await owner.put(`/api/drying/${id}`).send({ bundle: up, basedOn: 2 }).expect(422);
    expect(refused.body.errors[0].field).toBe('bundle.weighings.5.grams');
    expect(refused.body.detail).toContain('2900 g on 2026-03-24 is more than 2300 g');
    await owner.delete(`/api/drying/${id}`).expect(204);
    expect((await owner.get('/api/drying').expect(200)).body).toEqual([]);
  });

  it('gives its days to a calendar', async () => {
    const { id } = await lay({ label: 'Pins, for the calendar' });
    const { text, headers } = await owner.get('/api/drying/calendar.ics').expect(200);
    expect(headers['content-type']).toContain('text/calendar');
    expect(text).toContain('BEGIN:VCALENDAR');
    expect(text).toContain('SUMMARY:Weigh: Pins\\, for the calendar');
    expect(text).toContain('DTSTART;VALUE=DATE:20260323'); // a week after the last weighing
    expect(text).toContain('SUMMARY:Can be turned: Pins\\, for the calendar');
    await owner.delete(`/api/drying/${id}`).expect(204);
  });

  it('makes a plan wait for its wood', async () => {
    const { id } = await lay();
    const pattern = await newPattern(owner);
    const planned = async (woodId?: string) => {
      const { body } = await owner
        .post('/api/batches')
        .send({ ...choices(2), patternId: pattern.id, revision: 1, name: 'B', customer: 'C', woodId })
        .expect(201);
      return snapshotAt(owner, body as { planHash: string });
    };
    const { plan, inputs } = await planned(id);
    const readyOn = inputs.stock.drying?.[0]?.readyOn ?? '';
    expect(readyOn > '2026-03-20').toBe(true);
    expect(plan.byPiece.start >= readyOn).toBe(true);
    expect(plan.findings.map((f) => f.id)).toContain('stock.wood.waits');
    expect((await planned()).plan.byPiece.start).toBe('2026-03-02T08:00');
  });
});
