import type { NestExpressApplication } from '@nestjs/platform-express';
import { batchPieces, stepsOfPiece, stepsOfPlan, type DeliveredLine, type Lot } from '@compas/core';
import {
  choices,
  newOwner,
  newPattern,
  openApp,
  snapshotAt,
  stopper,
  tabletFrom,
  type Visitor,
} from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let patternId: string;
let otherId: string;
beforeAll(async () => {
  app = await openApp();
  owner = await newOwner(app);
  patternId = (await newPattern(owner)).id;
  otherId = (await newPattern(owner, { ...stopper(), kind: 'stopper' })).id;
});
afterAll(() => app.close());

interface Line {
  number: number;
  patternId: string;
  pieces: number;
  batchId: string | null;
  choices: string;
  given: number[];
  ready: number[];
  coming: number;
  short: number;
}
interface Order {
  id: string;
  customer: string;
  due: string | null;
  version: number;
  closed: boolean;
  lines: Line[];
}
interface Batch {
  id: string;
  customer: string;
  due: string | null;
  planHash: string;
  lots: Lot[];
  putAway: boolean;
}
interface Refusal {
  detail: string;
  errors: { field: string; why: string }[];
}

const order = async (change: object = {}): Promise<Order> =>
  (
    await owner
      .post('/api/orders')
      .send({
        customer: 'The inn',
        due: '2026-03-20',
        lines: [
          { patternId, pieces: 2 },
          { patternId: otherId, pieces: 1 },
        ],
        ...change,
      })
      .expect(201)
  ).body as Order;
const shown = async (id: string): Promise<Order> =>
  (await owner.get(`/api/orders/${id}`).expect(200)).body as Order;
const keep = (change: object) =>
  owner.post('/api/batches').send({ ...choices(2), patternId, revision: 1, name: 'Stoppers', ...change });
const batchFor = async (change: object): Promise<Batch> => (await keep(change).expect(201)).body as Batch;
const refused = (body: unknown): string => (body as Refusal).errors.map((e) => e.why).join(' ');

let event = tabletFrom();
/** Everything that is done to some pieces. */
async function make(batch: Batch, ...pieces: number[]): Promise<void> {
  const { plan } = await snapshotAt(owner, batch);
  const steps = stepsOfPlan(plan);
  const all = batchPieces(batch.lots, steps);
  for (const piece of pieces) {
    const events = stepsOfPiece(steps, all[piece - 1]!).map((s) =>
      event(piece, { kind: 'done', stepId: s.id }),
    );
    await owner.post(`/api/batches/${batch.id}/events`).send({ events }).expect(200);
  }
}

describe('an order', () => {
  it('has lines before any is planned, and each becomes a batch of its own', async () => {
    const { id, lines } = await order();
    expect(lines).toMatchObject([
      { number: 1, pieces: 2, batchId: null, short: 2, coming: 0 },
      { number: 2, pieces: 1, batchId: null, short: 1 },
    ]);
    const batch = await batchFor({ lines: [{ orderId: id, number: 1 }] });
    expect(batch).toMatchObject({ customer: 'The inn', due: '2026-03-20' });
    expect((await shown(id)).lines).toMatchObject([
      { batchId: batch.id, coming: 2, short: 0 },
      { batchId: null, short: 1 },
    ]);
  });

  it('gets one more line when a plan is kept for it', async () => {
    const { id } = await order({ lines: [] });
    const batch = await batchFor({ orderId: id });
    expect((await shown(id)).lines).toMatchObject([{ number: 1, pieces: 2, batchId: batch.id }]);
  });

  it('gives one more line a number of its own, also where lines were taken out', async () => {
    const before = await order();
    const kept = { number: 2, patternId: otherId, pieces: 1 };
    const { customer, due, version } = before;
    await owner
      .put(`/api/orders/${before.id}`)
      .send({ customer, due, lines: [kept], basedOn: version })
      .expect(200);
    await batchFor({ orderId: before.id });
    expect((await shown(before.id)).lines.map((l) => l.number)).toEqual([2, 3]);
  });

  it('is made with others in one batch, each getting its own, the first due first', async () => {
    const late = await order({
      customer: 'The school',
      due: '2026-04-01',
      lines: [{ patternId, pieces: 2 }],
    });
    const soon = await order({ due: '2026-03-10', lines: [{ patternId, pieces: 2 }] });
    const batch = await batchFor({
      pieces: 4,
      lines: [
        { orderId: late.id, number: 1 },
        { orderId: soon.id, number: 1 },
      ],
    });
    expect(batch).toMatchObject({ customer: 'The inn, The school', due: '2026-03-10' });
    await make(batch, 1, 2, 3);
    expect((await shown(soon.id)).lines).toMatchObject([{ ready: [1, 2], coming: 0, short: 0 }]);
    expect((await shown(late.id)).lines).toMatchObject([{ ready: [3], coming: 1, short: 0 }]);
  });

  it('says what nobody makes when a piece is rejected, until a spare is made', async () => {
    const { id } = await order({ lines: [{ patternId, pieces: 2 }] });
    const batch = await batchFor({ lines: [{ orderId: id, number: 1 }] });
    const step = stepsOfPlan((await snapshotAt(owner, batch)).plan)[0]!;
    const lost = event(2, { kind: 'rejected', stepId: step.id, cause: 'A knot' });
    await owner
      .post(`/api/batches/${batch.id}/events`)
      .send({ events: [lost] })
      .expect(200);
    expect((await shown(id)).lines).toMatchObject([{ coming: 1, short: 1 }]);
    // it was good after all; then it was not
    const again = event(2, { kind: 'rejected', stepId: step.id, cause: 'A shake' });
    for (const [said, line] of [
      [event(2, { kind: 'spared', eventId: lost.id }), { coming: 2, short: 0 }],
      [again, { coming: 1, short: 1 }],
    ] as const) {
      await owner
        .post(`/api/batches/${batch.id}/events`)
        .send({ events: [said] })
        .expect(200);
      expect((await shown(id)).lines).toMatchObject([line]);
    }
    await owner
      .post(`/api/batches/${batch.id}/spares`)
      .send({ partId: batch.lots[0]!.partId, count: 1 })
      .expect(201);
    expect((await shown(id)).lines).toMatchObject([{ coming: 2, short: 0 }]);
  });
});

describe('handing over', () => {
  it('gives what is ready, then the rest, and puts a finished batch away', async () => {
    const { id } = await order({ lines: [{ patternId, pieces: 2 }] });
    const batch = await batchFor({ lines: [{ orderId: id, number: 1 }] });
    const nothing = await owner.post(`/api/orders/${id}/deliveries`).expect(409);
    expect((nothing.body as Refusal).detail).toContain('Nothing of this order is ready');
    await make(batch, 1);
    const partly = (await owner.post(`/api/orders/${id}/deliveries`).expect(201)).body as Order;
    expect(partly).toMatchObject({ closed: false, lines: [{ given: [1], ready: [], coming: 1 }] });
    await make(batch, 2);
    const whole = (await owner.post(`/api/orders/${id}/deliveries`).expect(201)).body as Order;
    expect(whole).toMatchObject({ closed: true, lines: [{ given: [1, 2], ready: [], coming: 0 }] });
    expect(((await owner.get(`/api/batches/${batch.id}`)).body as Batch).putAway).toBe(true);
    const again = (await owner.delete(`/api/orders/${id}/deliveries`).expect(200)).body as Order;
    expect(again).toMatchObject({ closed: false, lines: [{ given: [], ready: [1, 2] }] });
  });

  it('says what goes with it, how it is looked after, what cures yet, and what is still to come', async () => {
    const { id } = await order();
    const { name, version, body } = (await owner.get('/api/workshop').expect(200)).body as {
      name: string;
      version: number;
      body: object;
    };
    const polish = { id: 'polish', name: 'Friction polish', kind: 'friction polish', coats: 1 };
    await owner
      .put('/api/workshop')
      .send({ name, basedOn: version, body: { ...body, finishes: [polish] } })
      .expect(200);
    const batch = await batchFor({ lines: [{ orderId: id, number: 1 }], finishId: polish.id });
    event = tabletFrom(Date.now());
    await make(batch, 2);
    const { lines } = (await owner.get(`/api/orders/${id}/delivery`).expect(200)).body as {
      lines: DeliveredLine[];
    };
    expect(lines).toMatchObject([
      { what: 'Stopper', wanted: 2, given: [2], coming: 1, short: 0 },
      { what: 'Stopper', wanted: 1, given: [], coming: 0, short: 1, madeOf: [], restsUntil: null },
    ]);
    expect(lines[0]!.madeOf).toEqual([expect.stringMatching(`maple, ${polish.name.toLowerCase()}`)]);
    expect(lines[0]!.care).toContain('rub it up');
    const cured = Date.parse(`${lines[0]!.restsUntil!} UTC`) - Date.now();
    expect(cured / 3_600_000).toBeGreaterThan(1.9);
    expect(cured / 3_600_000).toBeLessThan(2.1);
    const pdf = await owner.get(`/api/orders/${id}/delivery.pdf?paper=A4`).expect(200);
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });
});

describe('changing an order', () => {
  const wish = ({ customer, due, lines, version }: Order, change: object = {}) => ({
    customer,
    due,
    lines: lines.map(({ number, patternId: of, pieces }) => ({ number, patternId: of, pieces })),
    basedOn: version,
    ...change,
  });

  it('takes lines out and adds some, over the version that was read', async () => {
    const before = await order();
    const change = wish(before, {
      customer: 'The mill',
      lines: [
        { number: 2, patternId: otherId, pieces: 5 },
        { patternId, pieces: 3 },
      ],
    });
    const after = (await owner.put(`/api/orders/${before.id}`).send(change).expect(200)).body as Order;
    expect(after).toMatchObject({
      customer: 'The mill',
      version: before.version + 1,
      lines: [
        { number: 2, pieces: 5 },
        { number: 3, pieces: 3 },
      ],
    });
    const stale = await owner.put(`/api/orders/${before.id}`).send(change).expect(409);
    expect((stale.body as Refusal).detail).toContain('changed this order in between');
  });

  it('keeps a line that is being made, and what was handed over', async () => {
    const made = await order({ lines: [{ patternId, pieces: 2 }] });
    await batchFor({ lines: [{ orderId: made.id, number: 1 }] });
    const gone = await owner
      .put(`/api/orders/${made.id}`)
      .send(wish(made, { lines: [] }))
      .expect(422);
    expect(refused(gone.body)).toBe('Line 1 is being made: it stays, with its pattern.');
    await owner.delete(`/api/orders/${made.id}`).expect(409);
    const bare = await order();
    await owner.delete(`/api/orders/${bare.id}`).expect(204);
    await owner.get(`/api/orders/${bare.id}`).expect(404);
  });

  it('keeps what was chosen for a plan that is not kept yet', async () => {
    const { id } = await order();
    await owner
      .put(`/api/orders/${id}/lines/2/choices`)
      .send({ choices: 'pieces=7&mount=screw' })
      .expect(204);
    expect((await shown(id)).lines[1]!.choices).toBe('pieces=7&mount=screw');
    await owner.put(`/api/orders/${id}/lines/9/choices`).send({ choices: '' }).expect(404);
  });

  it('is closed when nothing more is made for it, and opened again', async () => {
    const { id } = await order();
    await owner.put(`/api/orders/${id}/closed`).send({ closed: true }).expect(200);
    const open = (await owner.get('/api/orders').expect(200)).body as Order[];
    expect(open.some((o) => o.id === id)).toBe(false);
    const closed = (await owner.get('/api/orders?closed=yes').expect(200)).body as Order[];
    expect(closed[0]!.id).toBe(id);
    const late = await keep({ orderId: id }).expect(422);
    expect(refused(late.body)).toContain('The order for The inn is closed.');
    await owner.put(`/api/orders/${id}/closed`).send({ closed: false }).expect(200);
    await keep({ orderId: id }).expect(201);
  });
});

describe('a plan is not kept for lines', () => {
  it.each([
    ['that are not there', { number: 9 }, {}, 'The order has no line 9.'],
    ['of another pattern', { number: 2 }, {}, 'Line 2 of the order wants another pattern.'],
    [
      'that want more',
      { number: 1 },
      { pieces: 1 },
      'pieces is 1, but the lines want 2. Make at least as many.',
    ],
  ])('%s', async (_, { number }, change, why) => {
    const { id } = await order();
    const answer = await keep({ lines: [{ orderId: id, number }], ...change }).expect(422);
    expect(refused(answer.body)).toContain(why);
    expect((await shown(id)).lines[0]!.batchId).toBeNull();
  });

  it('that are planned already, nor for nobody', async () => {
    const { id } = await order();
    await batchFor({ lines: [{ orderId: id, number: 1 }] });
    const twice = await keep({ lines: [{ orderId: id, number: 1 }] }).expect(422);
    expect(refused(twice.body)).toContain('Line 1 of the order is planned already.');
    const nobody = await keep({}).expect(422);
    expect(refused(nobody.body)).toContain('For whom is it?');
  });

  it('and orders of another workshop are out of sight', async () => {
    const { id } = await order();
    const stranger = await newOwner(app);
    await stranger.get(`/api/orders/${id}`).expect(404);
    await stranger.put(`/api/orders/${id}/lines/1/choices`).send({ choices: '' }).expect(404);
    expect((await stranger.get('/api/orders').expect(200)).body).toEqual([]);
    const own = (await newPattern(stranger)).id;
    await stranger
      .post('/api/batches')
      .send({ ...choices(2), patternId: own, revision: 1, name: 'x', lines: [{ orderId: id, number: 1 }] })
      .expect(404);
  });
});
