import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { contradictions, lotsOf, nextAction, progressOf, type RunEvent } from '../batch/index.js';
import { finishedReadings } from '../inspect/index.js';
import { facesOf, shopBefore, standingBefore } from '../route/index.js';
import { exampleInputs } from './exampleShop.js';
import { chosenSchedule, planDifference, planSummaryOf, readSnapshot, snapshotOf } from './index.js';
import type { StoredSnapshot } from './later/readSnapshot.js';

const storedBy = (schema: number): StoredSnapshot =>
  JSON.parse(
    readFileSync(join(__dirname, `fixtures/snapshot.schema${schema}.json`), 'utf8'),
  ) as StoredSnapshot;

/** A plan as it was stored before there were routes. */
const old = readSnapshot(storedBy(1));
const [part] = old.plan.parts;
const lots = (pieces: number) => lotsOf([{ partId: part.partId, pieces }]);

describe('a plan of schema 1', () => {
  const event = (sequence: number, stepId: string): RunEvent => ({
    id: `e${sequence}`,
    piece: 1,
    at: new Date(Date.UTC(2026, 2, 2, 8, sequence)).toISOString(),
    device: 'tablet',
    sequence,
    planVersion: 1,
    body: { kind: 'done', stepId },
  });

  it('is summed up, scheduled and run by the order of its list', () => {
    expect(old.schema).toBe(1);
    const { steps } = planSummaryOf(old.plan);
    expect(steps.map((s) => s.id)).toEqual(part.steps.map((s) => s.id));
    expect(chosenSchedule(old.plan).school).toBe(old.plan.schools.batching);
    const events = ['saw', 'centres', 'drill.kit:reference', 'glue'].map((id, i) => event(i, id));
    const glued = Date.parse(events.at(-1)!.at);
    const next = (now: number) => nextAction(part.steps, progressOf(lots(1), events, steps), 'by-piece', now);
    // the cure of its glue holds everything that comes after it
    expect(next(glued + 60_000)).toMatchObject({ kind: 'wait', until: glued + 720 * 60_000 });
    expect(next(glued + 721 * 60_000)).toMatchObject({ kind: 'do', step: { id: 'mount' } });
    expect(contradictions(part.steps, lots(3), [event(1, 'mark')]).map((f) => f.id)).toEqual([
      'run.order.1.mark',
    ]);
  });

  it('keeps its readings, shows no wood, and is compared with what would be planned now', () => {
    const reading = {
      eventId: 'e',
      device: 'tablet',
      piece: 1,
      stepId: 'measure',
      stationId: 'start',
      mm: 32,
      typed: '32',
      at: '',
    };
    expect(finishedReadings([reading], part.steps, part.stations)).toEqual([reading]);
    expect(shopBefore(part.steps, 'shape')).toBeNull();
    expect(standingBefore(part.steps, 'shape', 1)).toBeNull();
    // nothing else would change, and that what was done stays with the old steps is said
    expect(planDifference(old.plan, snapshotOf(old.inputs).plan)).toEqual([
      'The steps are those of the route, with names of their own: what is recorded as done is not carried over to them.',
    ]);
  });
});

describe('a plan of schema 2, stored by engine 12', () => {
  const stored = storedBy(2);
  const { schema, plan } = readSnapshot(stored);
  const { steps, stations } = plan.parts[0];
  const step = (id: string) => steps.find((s) => s.id === id)!;
  const said = (id: string) => step(id).operation?.figure;

  it('is read with the kinds of today, and with words and speeds of then', () => {
    expect(schema).toBe(3);
    expect(steps.map((s) => s.operation?.kind)).toEqual([
      ...['saw out', 'square an end', 'mark centres', 'clamp', 'drill', 'take off', 'fit in', 'take hold'],
      ...['rough', 'mark off', 'size', 'shape', 'shape', 'size', 'shape', 'size', 'shape', 'size', 'shape'],
      ...['try the fit', 'sand', 'sand', 'sand', 'sand', 'sand', 'tail away', 'part off', 'coat', 'take off'],
      ...['measure', 'fit in'],
    ]);
    const told = (all: readonly { id: string; words: string[]; speed: string | null }[]) =>
      all.map(({ id, words, speed }) => ({ id, words, speed }));
    expect(told(steps)).toEqual(told(stored.plan.parts[0].steps));
    // what is read is read again as it is
    expect(readSnapshot(readSnapshot(stored))).toEqual(readSnapshot(stored));
  });

  it('has the figure that was shown then at each step', () => {
    const neck = stations.find((s) => s.id === 'e2.bottom')!;
    expect(said('saw:blank part1')).toEqual({ is: 'across', mm: 43 });
    expect(said('shape:e2')).toEqual({
      is: 'bottom',
      mm: expect.closeTo(neck.finished, 6),
      at: { mm: 3.72, to: 22.32, from: 'first end' },
    });
    expect(said('size:e2.bottom')).toMatchObject({ is: 'parted down', at: { mm: 13.02, from: 'first end' } });
    expect(said('part:far end')).toEqual({ is: 'cut off', mm: 62, called: 'cut off, from the first end' });
    expect(said('try:fit')).toEqual({ is: 'what it meets', called: 'flush with the base', mm: 32 });
    expect(said('hold:mandrel:blank part1')).toEqual({ is: 'at the drive', text: 'M8 stopper mandrel' });
    expect(said('sanded:all:P150')).toEqual({ is: 'grit', text: 'P150' });
    expect(said('coated:all:1')).toBeUndefined();
  });

  it('goes on at the step where it stood, with the wood as it stood', () => {
    const done = steps.slice(0, 12).map((s, i): RunEvent => ({
      id: `e${i}`,
      piece: 1,
      at: new Date(Date.UTC(2026, 2, 2, 8, i)).toISOString(),
      device: 'tablet',
      sequence: i,
      planVersion: 1,
      body: { kind: 'done', stepId: s.id },
    }));
    const state = progressOf(lotsOf([{ partId: 'part1', pieces: 1 }]), done, planSummaryOf(plan).steps);
    const next = nextAction(steps, state, 'by-piece', Date.UTC(2026, 2, 3));
    expect(next).toMatchObject({ kind: 'do', step: { id: 'shape:e4' } });
    const standing = standingBefore(steps, 'shape:e4', 2)!;
    expect(new Set(facesOf(standing).map((f) => f.is))).toEqual(new Set(['roughed', 'cut']));
  });
});

describe('a plan of schema 3', () => {
  const { schema, plan } = snapshotOf(exampleInputs(3));
  const { steps, outline } = plan.parts[0];
  const before = (id: string) => standingBefore(steps, id, 2)!;

  it('keeps with each step what it does to the wood', () => {
    expect(schema).toBe(3);
    expect(steps.every((s) => s.operation?.id === s.id)).toBe(true);
    // what came out of the store is played as what went in
    const stored = JSON.parse(JSON.stringify(steps)) as typeof steps;
    expect(standingBefore(stored, 'shape:e3', 2)!.silhouette).toEqual(before('shape:e3').silhouette);
  });

  it('shows the wood as it stands: the blank, the round, and where the next cut goes', () => {
    const stands = (id: string) =>
      Math.max(
        ...before(id)
          .silhouette.flat()
          .map((p) => p.outside),
      );
    expect(stands('saw:blank part1')).toBe(21.5);
    expect(stands('rough:round')).toBe(21.5);
    expect(stands('mark:stick')).toBe(20.5);
    const { work, pieceAt } = before('shape:e3');
    const bead = outline.spans.find((s) => s.element.id === 'e3')!;
    expect([work!.x0 - pieceAt, work!.x1 - pieceAt]).toEqual([
      expect.closeTo(bead.x0, 4),
      expect.closeTo(bead.x1, 4),
    ]);
    // the hole is open from the reference end on
    const [run] = before('hold:mandrel:blank part1').silhouette;
    expect(run!.find((p) => p.x - pieceAt > 5)!.inside).toBeCloseTo(5.8, 6);
  });
});
