import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  batchPieces,
  STARTING_FORMS,
  stepsOfPiece,
  stepsOfPlan,
  type Lot,
  type NextStep,
  type PartLine,
  type RunEventBody,
  type Step,
} from '@compas/core';
import {
  choices,
  eventsOf,
  newOwner,
  newPattern,
  openApp,
  snapshotAt,
  tabletFrom,
  type Visitor,
} from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let patternId: string;
beforeAll(async () => {
  app = await openApp();
  owner = await newOwner(app);
  const top = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple');
  patternId = (await newPattern(owner, top)).id;
});
afterAll(() => app.close());

interface Items {
  id: string;
  planHash: string;
  pieces: number;
  lots: Lot[];
}
interface Listed {
  id: string;
  next: NextStep;
  stepsDone: number;
  stepsInAll: number;
  parts: PartLine[];
}

const { schools: _schools, start: _start, due: _due, pieces: _pieces, ...own } = choices();
const wish = (change: object = {}) => ({
  ...choices(2),
  patternId,
  revision: 1,
  name: 'Tops',
  customer: 'The fair',
  others: [{ ...own, partId: 'part2', materialId: 'cherry' }],
  ...change,
});
const order = async (change: object = {}): Promise<Items> =>
  (await owner.post('/api/batches').send(wish(change)).expect(201)).body as Items;
const listed = async (id: string) =>
  ((await owner.get('/api/batches').expect(200)).body as { batches: Listed[] }).batches.find(
    (b) => b.id === id,
  )!;

const event = tabletFrom();
const send = async (batch: Items, ...events: object[]) =>
  (await owner.post(`/api/batches/${batch.id}/events`).send({ events }).expect(200)).body as {
    stored: number;
    setAside: { why: string }[];
  };
/** All that is done to some pieces before they are joined. */
async function made(batch: Items, ...pieces: number[]): Promise<Step[]> {
  const { plan } = await snapshotAt(owner, batch);
  const steps = stepsOfPlan(plan);
  const all = batchPieces(batch.lots, steps);
  for (const piece of pieces) {
    const done = stepsOfPiece(steps, all[piece - 1]!).filter((s) => s.item !== true);
    await send(batch, ...done.map((s) => event(piece, { kind: 'done', stepId: s.id })));
  }
  return steps;
}

describe('a batch of whole items', () => {
  it('makes every part, numbered on, each of its own wood', async () => {
    const batch = await order();
    expect(batch.pieces).toBe(4);
    expect(batch.lots).toEqual([
      { partId: 'part1', first: 1, count: 2 },
      { partId: 'part2', first: 3, count: 2 },
    ]);
    const { parts, stepsInAll } = await listed(batch.id);
    expect(parts.map((p) => [p.name, p.materialId, p.blank.count])).toEqual([
      ['Stem', 'maple', 2],
      ['Body', 'cherry', 2],
    ]);
    const { plan } = await snapshotAt(owner, batch);
    const each = plan.parts.map((p) => p.steps.length);
    expect(stepsInAll).toBe(2 * (each[0]! + each[1]! + plan.item!.steps.length));
  });

  it('joins what is finished, keeps who went with whom, and is done when the items are', async () => {
    const batch = await order();
    const steps = await made(batch, 1, 2, 4);
    const [join, look] = steps.filter((s) => s.item);
    expect((await listed(batch.id)).next).toMatchObject({ kind: 'do', piece: 3 });
    await made(batch, 3);
    expect((await listed(batch.id)).next).toMatchObject({ kind: 'do', piece: 1, step: { id: join!.id } });
    await send(
      batch,
      event(1, { kind: 'joined', stepId: join!.id, pieces: [4] }),
      event(1, { kind: 'done', stepId: join!.id }),
      event(2, { kind: 'joined', stepId: join!.id, pieces: [3] }),
      event(2, { kind: 'done', stepId: join!.id }),
    );
    const joined = (await eventsOf(owner, batch)).flatMap((e) =>
      e.body.kind === 'joined' ? [[e.piece, e.body.pieces]] : [],
    );
    expect(joined).toEqual([
      [1, [4]],
      [2, [3]],
    ]);
    // a top that would not spin is counted until it does
    const spun = (fits: boolean) => event(1, { kind: 'tried', stepId: join!.id, fits, note: '' });
    await send(batch, spun(false));
    expect(await listed(batch.id)).toMatchObject({ failed: 1 });
    await send(batch, spun(true));
    expect(await listed(batch.id)).toMatchObject({ failed: 0 });
    await send(batch, ...[1, 2].map((n) => event(n, { kind: 'done', stepId: look!.id })));
    const { next, stepsDone, stepsInAll } = await listed(batch.id);
    expect(next).toEqual({ kind: 'finished' });
    expect(stepsDone).toBe(stepsInAll);
  });

  it('takes a spare for a part that was lost, which then goes with the stem that is left', async () => {
    const batch = await order();
    const steps = await made(batch, 1, 2, 3);
    const join = steps.find((s) => s.item)!;
    await send(
      batch,
      event(1, { kind: 'joined', stepId: join.id, pieces: [3] }),
      event(1, { kind: 'done', stepId: join.id }),
      event(4, { kind: 'rejected', stepId: steps[0]!.id, cause: 'a knot' }),
    );
    const spares = (body: object) => owner.post(`/api/batches/${batch.id}/spares`).send(body);
    const after = (await spares({ partId: 'part2', count: 1 }).expect(201)).body as Items;
    expect(after).toMatchObject({ pieces: 5, lots: [{}, {}, { partId: 'part2', first: 5, count: 1 }] });
    const { next } = await listed(batch.id);
    expect(next).toMatchObject({ kind: 'do', piece: 5 });
    await made(after, 5);
    expect((await listed(batch.id)).next).toMatchObject({ kind: 'do', piece: 2, step: { id: join.id } });
    // the batch can still be planned anew: its spares stay
    const { name: _n, customer: _c, patternId: _p, revision: _r, ...again } = wish();
    await owner.post(`/api/batches/${batch.id}/plans`).send(again).expect(201);
    expect((await listed(batch.id)).next).toMatchObject({ piece: 2 });
    await owner
      .post(`/api/batches/${batch.id}/plans`)
      .send({ ...again, pieces: 3 })
      .expect(422);
    const unknown = await spares({ partId: 'lid', count: 1 }).expect(422);
    expect(unknown.body).toMatchObject({ errors: [{ field: 'partId' }] });
    await spares({ partId: 'part2', count: 0 }).expect(400);
    expect((await listed(batch.id)).parts).toHaveLength(2);
  });

  it('refuses parts that are not there or are given twice, and sets aside a join that names no pieces', async () => {
    const other = { ...own, partId: 'part2' };
    for (const others of [
      [{ ...own, partId: 'lid' }],
      [other, other],
      [{ ...own, partId: 'part1' }, other],
    ]) {
      const refused = await owner.post('/api/batches').send(wish({ partId: 'part1', others }));
      expect([refused.status, (refused.body as { errors: unknown[] }).errors]).toMatchObject([
        422,
        [{ field: expect.stringMatching(/others|partId/) as string }],
      ]);
    }
    const batch = await order();
    const { setAside, stored } = await send(
      batch,
      event(1, { kind: 'joined', stepId: 's', pieces: ['two'] } as unknown as RunEventBody),
      event(1, { kind: 'joined', stepId: 's' } as unknown as RunEventBody),
    );
    expect([stored, setAside.length]).toEqual([0, 2]);
    expect(setAside[0]!.why).toContain('number of a piece');
  });

  it('prints the stick of the part that is asked for, and one sheet of all', async () => {
    const batch = await order();
    const stick = (part: string) =>
      owner.get(`/api/batches/${batch.id}/prints/stick?paper=A4&format=svg${part}`).expect(200);
    const texts = await Promise.all(['', '&part=part1', '&part=part2'].map(stick));
    const [first, stem, body] = texts.map((t) => (t.body as Buffer).toString());
    expect(stem).toBe(first);
    expect(body).not.toBe(first);
    await owner.get(`/api/batches/${batch.id}/sheet.pdf?paper=A4&units=mm`).expect(200);
  });
});
