import type { NestExpressApplication } from '@nestjs/platform-express';
import type { ArgumentsHost } from '@nestjs/common';
import { FileProblem, PRINTS, type PlanSnapshot } from '@compas/core';
import type { Response } from 'supertest';
import { ProblemFilter } from '../src/edge/problem.filter.js';
import { pdfLines, uprights } from './pdfLines.js';
import {
  choices,
  newBatch,
  newOwner,
  newPattern,
  openApp,
  snapshotAt,
  stopper,
  type Visitor,
} from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let batch: Awaited<ReturnType<typeof newBatch>>;
let snapshot: PlanSnapshot;
beforeAll(async () => {
  app = await openApp();
  owner = await newOwner(app);
  batch = await newBatch(owner);
  snapshot = await snapshotAt(owner, batch);
});
afterAll(() => app.close());

const collect = (response: Response, done: (error: Error | null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};
const print = (what: string, paper = 'A4', format = 'pdf') =>
  owner
    .get(`/api/batches/${batch.id}/prints/${what}?paper=${paper}&format=${format}`)
    .buffer(true)
    .parse(collect as never);

/** Widths of the closed lines that are cut, as they lie in an SVG, mm. */
const slotsIn = (svg: string): number[] =>
  [...svg.split('<g id="marks"')[0]!.matchAll(/<path d="(M[^"]+)"/g)].map(([, d]) => {
    const points = [...d!.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((p) => [Number(p[1]), Number(p[2])]);
    // a gauge is drawn from its corner: rim, down the slot, across it
    return points[3]![0]! - points[2]![0]!;
  });

it('a file that cannot be made says why, whichever it was', () => {
  let sent = '';
  const response = {
    headersSent: false,
    setHeader: () => undefined,
    status: () => response,
    type: () => response,
    send: (text: string) => (sent = text),
  };
  const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
  new ProblemFilter().catch(new FileProblem('It would be a file of more than 30 MB.'), host);
  expect(JSON.parse(sent)).toMatchObject({ status: 422, detail: 'It would be a file of more than 30 MB.' });
});

describe('a cutter', () => {
  it('is given slots that are narrower by what it takes away, and paper slots as they are', async () => {
    const { body } = await owner.get('/api/workshop');
    const kerf = 0.24;
    const copying = { stylus: 1, cutter: 1, templateKerf: kerf };
    const save = { name: body.name as string, basedOn: body.version as number };
    await owner
      .put('/api/workshop')
      .send({ ...save, body: { ...(body.body as object), copying } })
      .expect(200);
    const own = await newBatch(owner);
    const { plan } = await snapshotAt(owner, own);
    const svg = await owner
      .get(`/api/batches/${own.id}/prints/gauges?paper=A4&format=svg`)
      .buffer(true)
      .parse(collect as never)
      .expect(200);
    const cut = slotsIn((svg.body as Buffer).toString('utf8')).sort((a, b) => a - b);
    const sizes = plan.parts[0].layout.sizing.map((c) => Math.round(c.cutTo * 10) / 10);
    const wanted = [...new Set(sizes)].sort((a, b) => a - b);
    expect(cut.length).toBeGreaterThan(1);
    for (const width of cut) expect(wanted.some((size) => Math.abs(width - (size - kerf)) < 1e-3)).toBe(true);
  });
});

describe('sheets at 1:1', () => {
  it.each(['A4', 'Letter'])(
    'the story stick on %s has its marks within a tenth of the plan',
    async (paper) => {
      const { body } = await print('stick', paper).expect(200).expect('content-type', /pdf/);
      const [first = 0, ...others] = uprights(pdfLines(body as Buffer), 22);
      const marks = snapshot.plan.parts[0].layout.marks.map((m) => m.x);
      // the two ends of the stick are drawn with its frame as well
      const measured = [...new Set([0, ...others.map((x) => Number((x - first).toFixed(3)))])];
      expect(measured).toHaveLength(marks.length);
      marks.forEach((x, i) => expect(Math.abs((measured[i] ?? 0) - x)).toBeLessThan(0.1));
    },
  );

  it.each(PRINTS.filter((p) => p !== 'ball'))('%s comes as PDF, SVG and DXF', async (what) => {
    expect(((await print(what).expect(200)).body as Buffer).subarray(0, 4).toString()).toBe('%PDF');
    const svg = ((await print(what, 'A4', 'svg').expect(200)).body as Buffer).toString();
    expect(svg.startsWith('<svg')).toBe(true);
    const dxf = await print(what, 'A4', 'dxf').expect(200);
    expect((dxf.body as Buffer).toString()).toContain('LWPOLYLINE');
    expect(dxf.headers['content-disposition']).toContain('.dxf');
  });

  it('says what there is none of, and what it can print', async () => {
    const none = await owner.get(`/api/batches/${batch.id}/prints/ball?paper=A4&format=pdf`).expect(422);
    expect(none.body.detail).toBe('There is no ball in this piece.');
    const odd = await owner.get(`/api/batches/${batch.id}/prints/poster?paper=A4&format=pdf`).expect(400);
    expect(odd.body.detail).toContain('Choose one of stick, wrap, card');
  });
});

describe('the choices of a plan', () => {
  it('are kept with it: fitting, moments and set-ups, form of the stock, datum', async () => {
    const pattern = await newPattern(owner, stopper());
    const order = {
      ...choices(4),
      mount: 'between centres',
      fitting: 'glued',
      stockForm: 'round',
      datum: 'e1.end',
      drilling: [{ holeId: 'h', moment: 'after rounding', setup: 'tailstock' }],
    };
    const made = await owner
      .post('/api/batches')
      .send({ ...order, patternId: pattern.id, revision: 1, name: 'B', customer: 'C' })
      .expect(201);
    const { inputs, plan } = await snapshotAt(owner, made.body as typeof batch);
    const { schools: _schools, ...chosen } = order;
    expect(inputs.order).toEqual(chosen);
    expect(plan.parts[0].layout.datum?.id).toBe('e1.end');
    expect(plan.parts[0].centring?.form).toBe('round');
  });

  it('of nobody’s knowledge are refused by name', async () => {
    const pattern = await newPattern(owner, stopper());
    const send = (change: object) =>
      owner
        .post('/api/batches')
        .send({ ...choices(), ...change, patternId: pattern.id, revision: 1, name: 'B', customer: 'C' });
    expect((await send({ mount: 'magnet' }).expect(400)).body.detail).toContain('Choose one of mandrel');
    expect((await send({ fitting: 'nailed' }).expect(400)).body.detail).toContain('Choose one of insert');
    const wrong = await send({ drilling: [{ holeId: 'h', moment: 'at noon' }] }).expect(400);
    expect(wrong.body.detail).toContain('Choose one of square blank');
  });
});
