import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  stepDoes,
  inRecordedOrder,
  lotsOf,
  progressOf,
  STARTING_FORMS,
  type RunEventBody,
} from '@compas/core';
import {
  choices,
  eventsOf,
  newBatch,
  newOwner,
  newPattern,
  stopper,
  openApp,
  snapshotAt,
  type Visitor,
} from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let sequence = 0;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

const event = (body: RunEventBody, piece = 1, id: string = randomUUID()) => ({
  id,
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, 0, ++sequence)).toISOString(),
  device: 'tablet',
  sequence,
  planVersion: 1,
  body,
});
const send = (batch: { id: string }, events: object[]) =>
  owner.post(`/api/batches/${batch.id}/events`).send({ events });
const done = (stepId: string, piece = 1) => event({ kind: 'done', stepId }, piece);

/** The first two steps of the pattern of these tests. */
const SAW = 'saw:blank part1';
const AFTER_SAW = 'mark:centres';

describe('a batch', () => {
  it('keeps the plan it was made by, with its inputs', async () => {
    const batch = await newBatch(owner);
    const { body } = await owner.get(`/api/batches/${batch.id}`).expect(200);
    const snapshot = await snapshotAt(owner, body as typeof batch);
    expect(snapshot).toMatchObject({
      schema: 3,
      inputs: { order: { pieces: 3 } },
      plan: { parts: [{ blank: { count: 3 } }] },
    });
    expect(snapshot.plan.parts[0].steps[0]?.id).toBe(SAW);
  });

  it('of several pieces to a blank counts what is done to the blank for all of them, green or dry', async () => {
    const body = STARTING_FORMS.find((f) => f.id === 'rolling-pin')!.body({ length: { mm: 120 } }, 'maple');
    const pattern = await newPattern(owner, body);
    const order = { ...choices(3), perBlank: 2, green: true, patternId: pattern.id, revision: 1 };
    const made = await owner
      .post('/api/batches')
      .send({ ...order, name: 'Pins', customer: 'Somebody' })
      .expect(201);
    const batch = made.body as { id: string; planHash: string };
    const { plan, inputs } = await snapshotAt(owner, batch);
    expect(inputs.order.green).toBe(true);
    const { steps } = plan.parts[0];
    expect(steps.filter((s) => stepDoes(s, 'dry')).map((s) => s.share?.place)).toEqual([1, 2]);
    interface Listed {
      id: string;
      stepsDone: number;
      stepsInAll: number;
      next: { piece: number; step: { id: string } };
    }
    const listed = async (): Promise<Listed> => {
      const { body: page } = await owner.get('/api/batches').expect(200);
      return (page as { batches: Listed[] }).batches.find((b) => b.id === batch.id)!;
    };
    const own = (piece: number) => steps.filter((s) => s.share?.place !== (piece % 2 === 1 ? 2 : 1)).length;
    expect(await listed()).toMatchObject({ stepsDone: 0, stepsInAll: own(1) + own(2) + own(3) });
    await send(batch, [done(SAW, 2)]).expect(200);
    // the blank of the first two is sawn, that of the third is not
    expect(await listed()).toMatchObject({
      stepsDone: 2,
      parts: [{ begun: 1 }],
      next: { piece: 3, step: { id: SAW } },
    });
    await send(batch, [event({ kind: 'reopened', stepId: SAW }, 1)]).expect(200);
    expect(await listed()).toMatchObject({ stepsDone: 0, parts: [{ begun: 0 }], next: { piece: 1 } });
  });

  it('is planned anew as a further version; the first stays as it was', async () => {
    const batch = await newBatch(owner);
    const again = await owner
      .post(`/api/batches/${batch.id}/plans`)
      .send({ ...choices(), materialId: 'walnut' })
      .expect(201);
    expect(again.body).toMatchObject({ planVersion: 2 });
    const { plan } = await snapshotAt(owner, again.body as typeof batch);
    expect(plan.parts[0].material.id).toBe('walnut');
    expect((await snapshotAt(owner, batch)).plan.parts[0].material.id).toBe('maple');
    const other = await owner.post(`/api/batches/${batch.id}/plans`).send(choices(5)).expect(422);
    expect(other.body.detail).toContain('planned for 3 pieces');
  });

  it('planned anew opens again what the wood of a piece does not show any more, and leaves the rest done', async () => {
    const maker = await newOwner(app);
    const withPaper = async (...grits: number[]) => {
      const { body: found } = await maker.get('/api/workshop').expect(200);
      const { name, version, body } = found as { name: string; version: number; body: object };
      const abrasives = grits.map((grit) => ({ id: `p${grit}`, grit, scale: 'P' }));
      await maker
        .put('/api/workshop')
        .send({ name, basedOn: version, body: { ...body, abrasives } })
        .expect(200);
    };
    await withPaper(120, 180, 240);
    const batch = await newBatch(maker);
    const { plan } = await snapshotAt(maker, batch);
    const { steps } = plan.parts[0];
    const shaped = steps.slice(0, steps.findLastIndex((s) => stepDoes(s, 'shape')) + 1);
    // the clock of that tablet is three hours ahead: what it recorded did not come later than it was received
    const ahead = new Date(Date.now() + 3 * 3_600_000).toISOString();
    const done = shaped.map((s) => ({ ...event({ kind: 'done', stepId: s.id }, 1), at: ahead }));
    await maker.post(`/api/batches/${batch.id}/events`).send({ events: done }).expect(200);
    // without paper nothing is left for sanding: what was turned fat is turned down
    await withPaper();
    const again = await maker.post(`/api/batches/${batch.id}/plans`).send(choices()).expect(201);
    const recorded = inRecordedOrder(await eventsOf(maker, batch));
    const opened = recorded.filter((e) => e.body.kind === 'reopened');
    expect(opened.length).toBeGreaterThan(0);
    expect(opened.every((e) => e.planVersion === 2 && e.piece === 1 && e.at < ahead)).toBe(true);
    expect(recorded.slice(-opened.length)).toEqual(opened);
    const ids = opened.map((e) => (e.body.kind === 'reopened' ? e.body.stepId : ''));
    expect(ids.some((id) => id.startsWith('shape:'))).toBe(true);
    expect(ids.some((id) => id.startsWith('saw:') || id.startsWith('bore:'))).toBe(false);
    const { plan: next } = await snapshotAt(maker, again.body as typeof batch);
    const { pieces } = progressOf(lotsOf(next.parts), await eventsOf(maker, batch), next.parts[0].steps);
    expect(shaped.filter((s) => pieces[0]!.done.has(s.id)).length).toBe(shaped.length - opened.length);
    // planned once more nothing has to be done over
    await maker.post(`/api/batches/${batch.id}/plans`).send(choices()).expect(201);
    expect((await eventsOf(maker, batch)).filter((e) => e.body.kind === 'reopened')).toHaveLength(
      opened.length,
    );
  });

  it('is not kept where it could not be made so: the field, why, and what would do', async () => {
    const batch = await newBatch(owner);
    const { patternId } = (await owner.get(`/api/batches/${batch.id}`)).body as { patternId: string };
    const asked = { ...choices(), patternId, revision: 1, name: 'B', customer: 'C', mount: 'chuck' };
    const answer = await owner.post('/api/batches').send(asked).expect(422);
    expect(answer.body).toMatchObject({ errors: [{ field: 'mount' }] });
    expect(JSON.stringify(answer.body)).toContain(
      'No jaws of the workshop close on anything as thin as this',
    );
    // and none was half made
    const again = await owner.post(`/api/batches/${batch.id}/plans`).send({ ...choices(), mount: 'chuck' });
    expect(again.status).toBe(422);
    expect((await owner.get(`/api/batches/${batch.id}`)).body).toMatchObject({ planVersion: 1 });
  });

  it('has two thousand pieces at most, of all its parts together', async () => {
    const body = stopper();
    body.parts[0].perItem = 100;
    const pattern = await newPattern(owner, body);
    const asked = { ...choices(21), patternId: pattern.id, revision: 1, name: 'B', customer: 'C' };
    const answer = await owner.post('/api/batches').send(asked).expect(422);
    expect((answer.body as { detail: string }).detail).toBe(
      '21 items are 2100 pieces. A batch has 2000 at most: make 20 items, then another batch.',
    );
  });

  it('is refused for a revision that does not exist', async () => {
    const batch = await newBatch(owner);
    const { patternId } = (await owner.get(`/api/batches/${batch.id}`)).body as { patternId: string };
    await owner
      .post('/api/batches')
      .send({ ...choices(), patternId, revision: 99, name: 'B', customer: 'C' })
      .expect(404);
  });
});

describe('events', () => {
  it('are stored once, however often they are sent, and say what is next', async () => {
    const batch = await newBatch(owner);
    const events = [done(SAW, 1), done(SAW, 2)];
    expect((await send(batch, events).expect(200)).body).toEqual({ stored: 2, known: 0, setAside: [] });
    expect((await send(batch, [...events, done(SAW, 3)]).expect(200)).body).toEqual({
      stored: 1,
      known: 2,
      setAside: [],
    });
    const { batches } = (await owner.get('/api/batches?away=no')).body as { batches: { id: string }[] };
    const listed = batches.find((b) => b.id === batch.id);
    expect(listed).toMatchObject({ stepsDone: 3, next: { kind: 'do', piece: 1, step: { id: AFTER_SAW } } });
  });

  it('come back as they were sent', async () => {
    const batch = await newBatch(owner);
    const sent = event({
      kind: 'measured',
      stepId: 'measure:all',
      stationId: 'start',
      mm: 31.98,
      typed: '31.98',
    });
    await send(batch, [sent]).expect(200);
    expect(await eventsOf(owner, batch)).toEqual([sent]);
  });

  it('that mend a piece come back whole; what mends it badly said is set aside', async () => {
    const batch = await newBatch(owner);
    const mend = {
      kind: 'mended' as const,
      stepId: AFTER_SAW,
      partId: 'part1',
      steps: [{ title: 'Glue a sleeve on', words: '', place: 'bench' as const, minutes: 5 }],
      again: [SAW],
      keeps: [{ stationId: 'e2.bottom', mm: 18.2 }],
      why: 'thin',
    };
    const nowhere = { ...mend, steps: [{ ...mend.steps[0], place: 'moon' }] } as unknown as RunEventBody;
    const sent = await send(batch, [done(SAW), event(mend), event(nowhere)]).expect(200);
    expect(sent.body).toMatchObject({
      stored: 2,
      setAside: [{ why: expect.stringContaining('moon') as string }],
    });
    expect((await eventsOf(owner, batch)).map((e) => e.body)).toContainEqual(mend);
    // what is done again counts as open
    const { body } = await owner.get('/api/batches').expect(200);
    const row = (body as { batches: { id: string; stepsDone: number }[] }).batches.find(
      (b) => b.id === batch.id,
    );
    expect(row?.stepsDone).toBe(0);
  });

  it('that are malformed or of no piece are set aside visibly; the rest is stored', async () => {
    const batch = await newBatch(owner);
    const broken = { ...done(SAW), body: { kind: 'done', stepId: SAW, extra: 1 } };
    const stranger = done(SAW, 17);
    const answer = (await send(batch, [broken, stranger, done(SAW)]).expect(200)).body as {
      stored: number;
      setAside: { id: string; why: string }[];
    };
    expect(answer.stored).toBe(1);
    expect(answer.setAside).toEqual([
      { id: broken.id, why: '"extra" is not a field that is known here.' },
      { id: stranger.id, why: 'Piece 17 is not in this batch.' },
    ]);
    expect((await owner.get(`/api/batches/${batch.id}`)).body.setAside).toHaveLength(2);
  });

  it('are limited in number at a time', async () => {
    const batch = await newBatch(owner);
    const many = Array.from({ length: 501 }, () => done(SAW));
    expect((await send(batch, many).expect(400)).body.detail).toContain('at most 500');
    expect((await send(batch, []).expect(400)).body.detail).toContain('at least one');
  });
});

describe('sheets', () => {
  it('the batch sheet comes as PDF on A4 and Letter', async () => {
    const batch = await newBatch(owner);
    for (const paper of ['A4', 'Letter']) {
      const pdf = await owner.get(`/api/batches/${batch.id}/sheet.pdf?paper=${paper}&units=inch`).expect(200);
      expect(pdf.type).toBe('application/pdf');
      const text = (pdf.body as Buffer).toString('latin1');
      expect(text.startsWith('%PDF')).toBe(true);
      // 1 mm = 72 / 25.4 points: the page is the paper, so that nothing is scaled
      const [width, height] = (/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(text)?.slice(1) ?? []).map(
        (n) => (Number(n) * 25.4) / 72,
      );
      const long = paper === 'A4' ? 297 : 279.4;
      expect(Math.max(width ?? 0, height ?? 0)).toBeCloseTo(long, 1);
    }
  });
});

describe('the edge', () => {
  it('is well when the database is migrated, and documents itself', async () => {
    expect((await owner.get('/api/health').expect(200)).body).toMatchObject({ status: 'ok' });
    const document = (await owner.get('/api/openapi.json').expect(200)).body as {
      openapi: string;
      paths: Record<string, unknown>;
    };
    expect(Object.keys(document.paths)).toEqual(
      expect.arrayContaining(['/api/batches/{id}/events', '/api/patterns/{id}', '/api/session']),
    );
    await owner.get('/api/docs').expect(200);
  });

  it('answers nonsense with problem details', async () => {
    const nonsense = await owner.get('/api/batches/not-an-id').expect(400);
    expect(nonsense.type).toBe('application/problem+json');
    expect((await owner.get('/api/nowhere').expect(404)).type).toBe('application/problem+json');
  });
});
