import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  corrected,
  cutStockOf,
  materialById,
  newWorkshop,
  sawingOf,
  studyCutting,
  studyKey,
  solverOf,
  type CutInput,
  type CutPlan,
  type StockItem,
} from '@compas/core';
import loadHighs from 'highs';
import { newOwner, openApp, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

interface Held {
  item: StockItem & { origin?: string };
  amount: number;
  cost: number;
  version: number;
}
interface Line {
  itemId: string;
  kind: string;
  amount: number;
  cost: number;
  cuttingId: string | null;
}

const wood = (label: string, change: object = {}) => ({
  label,
  place: 'rack',
  price: { minor: 200_000, currency: 'EUR', per: 'm³' },
  reorderAt: null,
  materialId: 'ash',
  moisture: 10,
  origin: 'the storm tree',
  offcut: false,
  ...change,
});
const board = (label: string, change: object = {}) => ({
  ...wood(label),
  kind: 'board',
  thickness: { mm: 52, typed: '52' },
  width: { mm: 150 },
  length: { mm: 1000 },
  zones: [],
  ...change,
});

const shelf = async (by = owner): Promise<Held[]> => (await by.get('/api/stock').expect(200)).body as Held[];
const ledger = async (): Promise<Line[]> =>
  (await owner.get('/api/stock/ledger').expect(200)).body.lines as Line[];
const receive = async (item: object, amount = 1, by = owner): Promise<Held> => {
  const label = (item as { label: string }).label;
  await by
    .post('/api/stock')
    .send({ received: [{ item, amount }] })
    .expect(201);
  return (await shelf(by)).find((h) => h.item.label === label) as Held;
};

describe('stock', () => {
  it('is received at its worth, changed, used, lost and counted, and the ledger adds up', async () => {
    const held = await receive(board('Rack ash'), 3);
    expect(held).toMatchObject({ amount: 3, cost: 3 * 1560 }); // 0.0078 m³ at 2000 €
    const { id, ...item } = held.item;
    const zones = [{ from: 100, to: 160, low: 20, high: 60, why: 'knot' }];
    await owner
      .put(`/api/stock/${id}`)
      .send({ item: { ...item, zones }, basedOn: 1 })
      .expect(204);
    const stale = await owner.put(`/api/stock/${id}`).send({ item, basedOn: 1 }).expect(409);
    expect(stale.body.detail).toContain('changed “Rack ash” in between');
    const move = (kind: string, amount: number) =>
      owner.post(`/api/stock/${id}/moves`).send({ kind, amount, note: '' });
    await move('used', 1).expect(204);
    const tooMany = await move('lost', 3).expect(422);
    expect(tooMany.body.detail).toBe(
      'There are 2 of “Rack ash”, not 3. Take fewer, or correct the amount first.',
    );
    await move('lost', 1).expect(204);
    await move('corrected', 4).expect(204);
    const now = (await shelf()).find((h) => h.item.id === id);
    expect(now).toMatchObject({ amount: 4, cost: 4 * 1560, version: 2 });
    const lines = (await ledger()).filter((l) => l.itemId === id);
    expect(lines.map((l) => l.kind)).toEqual(['corrected', 'lost', 'used', 'received']);
    expect(lines.reduce((sum, l) => sum + l.cost, 0)).toBe(now?.cost);
  });

  it('that cannot be is refused with a sentence, and nothing of the list is taken in', async () => {
    const before = (await shelf()).length;
    const log = {
      ...wood('Log'),
      kind: 'log',
      buttDiameter: { mm: 200 },
      topDiameter: { mm: 180 },
      length: { mm: 900 },
      pith: { x: 120, y: 0 },
      sapwood: { mm: 0 },
      felled: null,
    };
    const refused = await owner
      .post('/api/stock')
      .send({
        received: [
          { item: board('Good'), amount: 1 },
          { item: log, amount: 1 },
        ],
      })
      .expect(422);
    expect(refused.body.errors[0].field).toBe('received.1.item.pith');
    expect(refused.body.detail).toContain('outside the log of 200 mm');
    const foreign = board('Dear', { price: { minor: 1, currency: 'USD', per: 'piece' } });
    await owner
      .post('/api/stock')
      .send({ received: [{ item: foreign, amount: 1 }] })
      .expect(422);
    const unknown = await owner
      .post('/api/stock')
      .send({ received: [{ item: board('X', { side: { mm: 3 } }), amount: 1 }] })
      .expect(400);
    expect(unknown.body.detail).toContain('"side" is not a field');
    expect((await shelf()).length).toBe(before);
  });

  it('belongs to its workshop alone', async () => {
    const held = await receive(board('Ours'));
    const stranger = await newOwner(app);
    expect(await shelf(stranger)).toEqual([]);
    await stranger
      .post(`/api/stock/${held.item.id}/moves`)
      .send({ kind: 'used', amount: 1, note: '' })
      .expect(404);
    expect((await stranger.get('/api/stock/ledger')).body.lines).toEqual([]);
  });

  it('two who take the last piece at once do not both get it', async () => {
    const { item } = await receive(board('Last one'));
    const take = () => owner.post(`/api/stock/${item.id}/moves`).send({ kind: 'used', amount: 1, note: '' });
    const answers = await Promise.all([take(), take(), take()]);
    expect(answers.map((a) => a.status).sort()).toEqual([204, 422, 422]);
  });

  it('kits go through the ledger too', async () => {
    const kit = {
      kind: 'ferrule',
      name: 'Brass 20',
      onHand: 8,
      cost: 140,
      bore: { mm: 20 },
      outsideDiameter: { mm: 22 },
      length: { mm: 18 },
      tangDiameter: { mm: 8 },
      tangLength: { mm: 46 },
      glue: 'epoxy',
    };
    const { id } = (await owner.post('/api/kits').send({ kit }).expect(201)).body.kit as { id: string };
    await owner
      .put(`/api/kits/${id}`)
      .send({ kit: { ...kit, onHand: 5 }, basedOn: 1 })
      .expect(200);
    const mine = async () =>
      (await ledger()).filter((l) => l.itemId === id).map((l) => [l.kind, l.amount, l.cost]);
    expect(await mine()).toEqual([
      ['corrected', -3, -420],
      ['received', 8, 1120],
    ]);
    await owner.delete(`/api/kits/${id}`).expect(204);
    expect((await mine())[0]).toEqual(['corrected', -5, -700]);
  });
});

describe('a cutting plan', () => {
  const sawing = sawingOf(newWorkshop('UTC', 'mm'));
  const demand = [
    { id: 'd1', label: '6 × Handle', materialId: 'ash', section: 40, length: 180, count: 6, octagon: false },
  ];

  async function planned(): Promise<{ input: CutInput; plan: CutPlan; held: Held }> {
    const held = await receive(board(`Board ${Math.random()}`));
    const stock = cutStockOf(held.item, held, sawing);
    if (!stock) throw new Error('The board is no stock to cut.');
    const input = { demand, stock: [stock], sawing };
    const solve = solverOf(await loadHighs.default());
    const [plan] = studyCutting(input, solve);
    return { input, plan: plan as CutPlan, held };
  }
  const keep = ({ input, plan }: { input: CutInput; plan: CutPlan }) =>
    owner.post('/api/cuttings').send({
      name: 'Handles',
      studyKey: studyKey(input),
      demand,
      stockIds: input.stock.map((s) => s.id),
      plan,
    });

  it('is kept, and recorded once: the board goes, blanks and offcuts come, its cost with them', async () => {
    const made = await planned();
    const kept = await keep(made).expect(201);
    const id = kept.body.id as string;
    expect(kept.body.input).toEqual(made.input);
    await owner.post(`/api/cuttings/${id}/record`).expect(200);
    const lines = (await ledger()).filter((l) => l.cuttingId === id);
    expect(lines.reduce((sum, l) => sum + l.cost, 0)).toBe(0);
    const now = await shelf();
    expect(now.find((h) => h.item.id === made.held.item.id)).toMatchObject({ amount: 0, cost: 0 });
    const blanks = now.find((h) => h.item.kind === 'blank' && lines.some((l) => l.itemId === h.item.id));
    expect(blanks).toMatchObject({ amount: 6, cost: made.held.cost, item: { origin: 'the storm tree' } });
    const again = await owner.post(`/api/cuttings/${id}/record`).expect(409);
    expect(again.body.detail).toContain('was recorded before');
    await owner.delete(`/api/cuttings/${id}`).expect(409);
  });

  it('that four record at once for the one board they all have in mind is recorded once', async () => {
    const made = await planned();
    const kept = await Promise.all([1, 2, 3, 4].map(() => keep(made).expect(201)));
    const answers = await Promise.all(kept.map(({ body }) => owner.post(`/api/cuttings/${body.id}/record`)));
    expect(answers.map((a) => a.status).sort()).toEqual([200, 422, 422, 422]);
    const ids = new Set(kept.map(({ body }) => body.id as string));
    const taken = (await ledger()).filter(
      (l) => ids.has(l.cuttingId ?? '') && l.itemId === made.held.item.id,
    );
    expect(taken.map((l) => l.amount)).toEqual([-1]);
  });

  it('whose board is gone, or whose blanks overlap, is refused and books nothing', async () => {
    const made = await planned();
    const kept = await keep(made).expect(201);
    await owner
      .post(`/api/stock/${made.held.item.id}/moves`)
      .send({ kind: 'lost', amount: 1, note: 'warped' })
      .expect(204);
    const before = (await ledger()).length;
    const gone = await owner.post(`/api/cuttings/${kept.body.id}/record`).expect(422);
    expect(gone.body.detail).toContain('Plan the cutting again');
    expect((await ledger()).length).toBe(before);
    const other = await planned();
    const [first] = other.plan.cuts;
    const blanks = first?.blanks.map((b) => ({ ...b, x: 20, y: 5 }));
    const overlapping = { ...other.plan, cuts: [{ ...first, blanks }] } as CutPlan;
    expect((await keep({ input: other.input, plan: overlapping }).expect(422)).body.detail).toContain(
      'overlap',
    );
  });
});

describe('a log', () => {
  it('is split: its billets carry its cost, moisture and origin', async () => {
    const log = {
      ...wood('Lane log', {
        materialId: 'birch',
        moisture: 70,
        price: { minor: 1800, currency: 'EUR', per: 'piece' },
      }),
      kind: 'log',
      buttDiameter: { mm: 240 },
      topDiameter: { mm: 220 },
      length: { mm: 1000 },
      pith: { x: 10, y: 0 },
      sapwood: { mm: 0 },
      felled: '2026-02-14',
    };
    const { item } = await receive(log);
    const split = {
      sectors: 6,
      form: 'round',
      hewing: 0,
      diameter: 60,
      length: 300,
      pithClearance: 10,
      heartOnly: false,
      billets: 17,
    };
    const absurd = await owner
      .post(`/api/stock/${item.id}/split`)
      .send({ ...split, billets: 400 })
      .expect(422);
    expect(absurd.body.detail).toContain('Count again');
    const thick = await owner
      .post(`/api/stock/${item.id}/split`)
      .send({ ...split, diameter: 180 })
      .expect(422);
    expect(thick.body.detail).toContain('does not fit beside the pith');
    const [billets] = (await owner.post(`/api/stock/${item.id}/split`).send(split).expect(200))
      .body as Held[];
    expect(billets).toMatchObject({
      amount: 17,
      cost: 1800,
      item: { form: 'round', moisture: 70, origin: 'the storm tree' },
    });
    await owner.post(`/api/stock/${item.id}/split`).send(split).expect(422);
  });
});

describe('materials, saws and air of a workshop', () => {
  it('are kept with it, and a value that cannot be is refused', async () => {
    const { body } = (await owner.get('/api/workshop').expect(200)) as {
      body: { name: string; version: number; body: object };
    };
    const hazel = materialById('hazel');
    if (!hazel) throw new Error('hazel is gone');
    const mine = corrected(hazel, { density: 0.66 }, { source: 'own scales', certainty: 'measured' });
    const sawing = { ...sawingOf(newWorkshop('UTC', 'mm')), ripKerf: 2.2 };
    const change = { materials: [mine], sawing, air: { temperature: 17, humidity: 60 }, currency: 'EUR' };
    const save = (more: object, basedOn: number) =>
      owner.put('/api/workshop').send({ name: body.name, basedOn, body: { ...body.body, ...more } });
    await save(change, body.version).expect(200);
    expect((await owner.get('/api/workshop')).body.body).toMatchObject(change);
    const absurd = await save({ materials: [{ ...mine, density: 40 }] }, body.version + 1).expect(400);
    expect(absurd.body.detail).toContain('ensity is 40. Give 3 or less.');
    await save({ air: { temperature: 17, humidity: 160 } }, body.version + 1).expect(400);
    await save({ currency: 'gold' }, body.version + 1).expect(400);
  });
});
