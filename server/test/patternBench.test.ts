import { dim, STARTING_FORMS, type AcceptanceCheck, type PatternBody, type RunEvent } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { randomUUID } from 'node:crypto';
import { choices, newOwner, newPattern, openApp, snapshotAt, stopper, type Visitor } from './app.js';

const formBody = (id: string): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === id);
  if (!form) throw new Error(`There is no form ${id}.`);
  return form.body({}, 'ash');
};

const CHECK: AcceptanceCheck = {
  id: 'seam',
  kind: 'number',
  words: 'Height over the base',
  stage: 'twins',
  unit: 'mm',
  least: 60,
  most: 64,
};

describe('patterns of every kind', () => {
  let app: NestExpressApplication;
  let browser: Visitor;
  beforeAll(async () => {
    app = await openApp();
    browser = await newOwner(app);
  });
  afterAll(() => app.close());

  it.each(STARTING_FORMS.map((f) => f.id))('%s is kept and comes back as it was', async (id) => {
    const body = formBody(id);
    const made = await newPattern(browser, body);
    const { body: kept } = await browser.get(`/api/patterns/${made.id}`).expect(200);
    expect(kept.body).toEqual(JSON.parse(JSON.stringify(body)));
  });

  it('every optional part of a body is taken, and anything unknown in it refused by name', async () => {
    const base = formBody('launched-top');
    const body: PatternBody = {
      ...base,
      checks: [CHECK],
      source: { from: 'customer', words: 'theirs', allows: 'twelve of them' },
      mates: [
        {
          id: 'm',
          name: 'neck',
          partId: 'part1',
          end: 'reference',
          points: [{ at: dim(0), diameter: dim(10) }],
        },
      ],
    };
    body.parts[0].decorations = [
      { id: 'd', kind: 'burnt line', elementId: 'e1', from: dim(1), width: dim(1) },
    ];
    body.parts[0].turnings.push({
      id: 'second',
      startDiameter: dim(10),
      elements: [{ kind: 'cylinder', id: 's1', length: dim(20) }],
      axis: { shift: dim(4), direction: 90, tilt: 3 },
    });
    await newPattern(browser, body);
    const answer = await browser
      .post('/api/patterns')
      .send({ name: 'x', body: { ...body, source: { ...body.source, price: 3 } } })
      .expect(400);
    expect(JSON.stringify(answer.body)).toContain('price');
  });

  it.each([
    ['a join without its hole', (b: PatternBody) => (b.parts[1]!.holes = []), 'no longer there'],
    ['an id given twice', (b: PatternBody) => (b.parts[1]!.turnings[0].elements[0]!.id = 'e1'), 'the id e1'],
    [
      'two that take up',
      (b: PatternBody) => b.parts[0].turnings[0].elements.slice(0, 2).forEach((e) => (e.takesUp = true)),
      'Only one can',
    ],
  ])('%s is refused with a sentence', async (_, spoil, why) => {
    const body = formBody('launched-top');
    spoil(body);
    const answer = await browser.post('/api/patterns').send({ name: 'x', body }).expect(422);
    expect(JSON.stringify(answer.body)).toContain(why);
  });

  it('an order makes the part that is asked for, as many as the items need', async () => {
    const body = formBody('launched-top');
    body.parts[1]!.perItem = 2;
    const { id } = await newPattern(browser, body);
    const order = { ...choices(3), patternId: id, revision: 1, name: 'Tops', customer: 'Shop' };
    const { body: batch } = await browser
      .post('/api/batches')
      .send({ ...order, partId: 'part2' })
      .expect(201);
    expect(batch.pieces).toBe(6);
    expect((await snapshotAt(browser, batch as { planHash: string })).plan.parts[0].name).toBe('Body');
    const answer = await browser
      .post('/api/batches')
      .send({ ...order, partId: 'none' })
      .expect(422);
    expect(JSON.stringify(answer.body)).toContain('no part');
  });

  it('checks are asked at their step, and what came of them adds up over batches', async () => {
    const { id } = await newPattern(browser, { ...stopper(), checks: [CHECK] });
    for (const passed of [true, false]) {
      const order = { ...choices(2), patternId: id, revision: 1, name: 'Lot', customer: 'Shop' };
      const { body: batch } = await browser.post('/api/batches').send(order).expect(201);
      const { steps } = (await snapshotAt(browser, batch as { planHash: string })).plan.parts[0];
      const step = steps.find((s) => s.checks?.includes('seam'));
      expect(step).toBeDefined();
      const event = (piece: number, value: number, ok: boolean, sequence: number): RunEvent => ({
        id: randomUUID(),
        piece,
        at: new Date(1_780_000_000_000 + sequence * 1000).toISOString(),
        device: 'tablet',
        sequence,
        planVersion: 1,
        body: { kind: 'checked', stepId: step!.id, checkId: 'seam', passed: ok, value },
      });
      const events = [event(1, 61, false, 1), event(1, 62, true, 2), event(2, 63, passed, 3)];
      const stored = await browser.post(`/api/batches/${batch.id}/events`).send({ events }).expect(200);
      expect(stored.body.setAside).toEqual([]);
    }
    const { body: results } = await browser.get(`/api/patterns/${id}/checks`).expect(200);
    // piece 1 was checked again in both batches: only its last answer counts
    expect(results).toEqual([
      { checkId: 'seam', passed: 3, failed: 1, batches: 2, values: expect.any(Array) },
    ]);
    expect(results[0].values).toHaveLength(4);
  });

  it('the drawing is a PDF with a page for each part', async () => {
    const { id } = await newPattern(browser, formBody('launched-top'));
    const answer = await browser.get(`/api/patterns/${id}/drawing.pdf?paper=A4&units=mm`).expect(200);
    expect(answer.headers['content-type']).toContain('application/pdf');
    expect(String(answer.body).match(/\/Type \/Page\b/g)).toHaveLength(2);
    await browser.get(`/api/patterns/${id}/drawing.pdf?paper=A9&units=mm`).expect(400);
  });
});

describe('samples', () => {
  let app: NestExpressApplication;
  beforeAll(async () => (app = await openApp()));
  afterAll(() => app.close());
  const sample = {
    name: 'Old finial',
    measuredBy: 'stations',
    trace: { x: [0, 10, 20], up: [8, 9, 10], down: [8, 9, 10] },
    note: '',
  };

  it('are kept, listed, taken away, and not seen from another workshop', async () => {
    const browser = await newOwner(app);
    const { body: kept } = await browser.post('/api/samples').send(sample).expect(201);
    expect((await browser.get('/api/samples')).body).toEqual([{ id: kept.id, ...sample }]);
    const stranger = await newOwner(app);
    expect((await stranger.get('/api/samples')).body).toEqual([]);
    await stranger.delete(`/api/samples/${kept.id}`).expect(404);
    await browser.delete(`/api/samples/${kept.id}`).expect(204);
    expect((await browser.get('/api/samples')).body).toEqual([]);
  });

  it('with lists of different lengths are refused', async () => {
    const browser = await newOwner(app);
    const answer = await browser
      .post('/api/samples')
      .send({ ...sample, trace: { ...sample.trace, up: [8] } })
      .expect(422);
    expect(JSON.stringify(answer.body)).toContain('1 and 3 radii');
  });
});
