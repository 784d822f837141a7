import { stepDoes } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Decision, Habit, PatternBody, PlanSnapshot, Workshop } from '@compas/core';
import { choices, newOwner, newPattern, openApp, snapshotAt, stopper, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let patternId: string;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
  patternId = (await newPattern(owner)).id;
});
afterAll(() => app.close());

let made = 0;
const way = (decides: object, more: Partial<Habit> = {}) => ({
  id: `w${++made}`,
  decides,
  why: 'crisp beads',
  by: 'Ines',
  at: '2026-03-01T08:00:00.000Z',
  ...more,
});
const NO_SANDING = { kind: 'grits', grits: [], burnish: true } satisfies Decision;
const POLISH = { finishId: null };

const send = (change: object) =>
  owner.post('/api/batches').send({
    ...choices(2),
    patternId,
    revision: 1,
    name: 'Batch',
    customer: 'Somebody',
    ...POLISH,
    ...change,
  });
async function snapshot(change: object): Promise<PlanSnapshot> {
  const { body } = await send(change).expect(201);
  return snapshotAt(owner, body as { id: string; planHash: string });
}
const isBurnished = ({ plan }: PlanSnapshot) => plan.parts[0].steps.some((s) => stepDoes(s, 'burnished'));
const problems = ({ body }: { body: unknown }) =>
  (body as { errors: { field: string; why: string }[] }).errors;

async function saveHabits(ways: object[]) {
  const { name, version, body } = (await owner.get('/api/workshop').expect(200)).body as {
    name: string;
    version: number;
    body: Workshop;
  };
  return owner.put('/api/workshop').send({ name, basedOn: version, body: { ...body, ways } });
}

it('what is decided for an order is kept with its plan, and followed', async () => {
  const own = way(NO_SANDING);
  const kept = await snapshot({ ways: [own] });
  expect(kept.inputs.order.ways).toEqual([own]);
  expect(isBurnished(kept)).toBe(true);
  expect(isBurnished(await snapshot({}))).toBe(false);
});

it('a habit of a wood holds for every later plan in it, and for no other', async () => {
  const saved = await saveHabits([way(NO_SANDING, { materialId: 'maple' })]);
  expect(saved.status).toBe(200);
  expect(isBurnished(await snapshot({ materialId: 'maple' }))).toBe(true);
  expect(isBurnished(await snapshot({ materialId: 'cherry' }))).toBe(false);
  await saveHabits([]);
});

it('what is decided for a pattern is a revision of it that says so', async () => {
  const { id } = await newPattern(owner);
  const body = stopper();
  const parts = [{ ...body.parts[0], ways: [way(NO_SANDING)] }] as PatternBody['parts'];
  await owner
    .put(`/api/patterns/${id}`)
    .send({ name: 'Stopper', body: { ...body, parts }, basedOn: 1 })
    .expect(200);
  const { body: revisions } = await owner.get(`/api/patterns/${id}/revisions`).expect(200);
  expect(JSON.stringify(revisions)).toContain('own ways of the');
  expect(isBurnished(await snapshot({ patternId: id, revision: 2 }))).toBe(true);
  expect(isBurnished(await snapshot({ patternId: id, revision: 1 }))).toBe(false);
});

describe('a decision that cannot be read is refused, naming the field', () => {
  it.each<[string, object, RegExp, RegExp]>([
    ['an unknown kind', { kind: 'magic' }, /ways.*kind/, /magic/],
    ['a speed below nothing', { kind: 'speed', stage: 'rough', rpm: -5 }, /rpm/, /Give 1 or more/],
    ['a stage that is none', { kind: 'speed', stage: 'fly', rpm: 500 }, /stage/, /rough/],
    ['a field that belongs to another kind', { ...NO_SANDING, rpm: 3 }, /rpm/, /./],
    ['a step name without its name', { kind: 'minutes', on: { kind: 'step' }, minutes: 2 }, /id/, /missing/],
  ])('%s', async (_, decides, field, why) => {
    const answer = await send({ ways: [way(decides)] });
    expect(answer.status).toBe(400);
    expect(JSON.stringify(answer.body)).toMatch(field);
    expect(JSON.stringify(answer.body)).toMatch(why);
  });
});

describe('leaving out and going past', () => {
  const mark = { kind: 'without', on: { kind: 'like', does: 'mark' } };

  it('want a reason, for an order, a habit and a pattern alike', async () => {
    const silent = way(mark, { why: '  ' });
    const refused = await send({ ways: [silent] });
    expect(refused.status).toBe(422);
    expect(problems(refused)[0]).toMatchObject({ field: 'ways.0.why' });
    expect((await saveHabits([silent])).status).toBe(422);
    const kept = await snapshot({ ways: [way(mark)] });
    expect(kept.plan.findings.find((f) => f.id.startsWith('own.without'))).toMatchObject({
      why: 'crisp beads',
    });
  });

  it('nobody keeps a plan that cuts what nothing holds', async () => {
    const { plan } = await snapshot({});
    const hold = plan.parts[0].steps.find((s) => stepDoes(s, 'hold') && s.setup.place === 'lathe')!;
    const without = way({ kind: 'without', on: { kind: 'step', id: hold.id } });
    const refused = await send({ ways: [without] });
    expect(refused.status).toBe(422);
    expect(problems(refused)[0]?.why).toMatch(/Nobody can go past this one/);
  });
});

it('a batch is planned anew with other ways, and the version before keeps its own', async () => {
  const { body } = await send({}).expect(201);
  const batch = body as { id: string; planHash: string };
  const again = await owner
    .post(`/api/batches/${batch.id}/plans`)
    .send({ ...choices(2), ...POLISH, ways: [way(NO_SANDING)] })
    .expect(201);
  expect(isBurnished(await snapshotAt(owner, again.body as typeof batch))).toBe(true);
  expect(isBurnished(await snapshotAt(owner, batch))).toBe(false);
});
