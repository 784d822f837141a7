import { runsOf, type Step } from '../route/index.js';
import {
  failedIn,
  lotsOf,
  nextAction,
  progressOf,
  restOfRun,
  stepsOfPiece,
  withMends,
  type RunEvent,
  type RunEventBody,
} from './index.js';

const step = (id: string, rest: Partial<Step> = {}): Step =>
  ({
    id,
    partId: 'p',
    title: id,
    stage: 'turn',
    locks: [],
    wait: null,
    measures: [],
    trialFit: false,
    run: 1,
    ...rest,
  }) as unknown as Step;
const plan = [step('turn'), step('peg'), step('try', { trialFit: true }), step('sand')];
let sequence = 0;
const event = (body: RunEventBody, piece = 1): RunEvent => ({
  id: `e${++sequence}`,
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, sequence)).toISOString(),
  device: 'bench',
  sequence,
  planVersion: 1,
  body,
});
const done = (stepId: string, piece = 1) => event({ kind: 'done', stepId }, piece);
const mended = (more: Partial<Extract<RunEventBody, { kind: 'mended' }>> = {}, piece = 1) =>
  event(
    { kind: 'mended', stepId: 'try', partId: 'p', steps: [], again: [], keeps: [], why: 'thin', ...more },
    piece,
  );
const SLEEVE = { title: 'Glue a sleeve on', words: 'Grain along.', place: 'bench', minutes: 12 } as const;
/** The batch as the screen at the lathe knows it. */
function batch(...events: RunEvent[]) {
  const steps = withMends(plan, events);
  const progress = progressOf(lotsOf([{ partId: 'p', pieces: 2 }]), events, steps);
  const [piece, other] = progress.pieces as [(typeof progress.pieces)[0], (typeof progress.pieces)[0]];
  return { steps, progress, piece, other, next: nextAction(steps, progress, 'by-piece', 0) };
}
const ids = (steps: readonly Step[]) => steps.map((s) => s.title);
const toTheTrial = [
  done('turn'),
  done('peg'),
  event({ kind: 'tried', stepId: 'try', fits: false, note: 'loose' }),
];

describe('a piece that is mended', () => {
  it('has steps of its own before the one at which it was decided; no other piece has them', () => {
    const { steps, piece, other } = batch(...toTheTrial, mended({ steps: [SLEEVE] }));
    expect(ids(stepsOfPiece(steps, piece))).toEqual(['turn', 'peg', 'Glue a sleeve on', 'try', 'sand']);
    expect(ids(stepsOfPiece(steps, other))).toEqual(ids(plan));
    expect(steps.find((s) => s.only === 1)).toMatchObject({
      minutes: 12,
      words: ['Grain along.'],
      setup: { place: 'bench' },
    });
  });

  it('is red no longer, and is tried anew when its own steps are done', () => {
    const events = [...toTheTrial, mended({ steps: [SLEEVE] })];
    const before = batch(...toTheTrial);
    expect(failedIn(before.steps, before.piece).map((s) => s.id)).toEqual(['try']);
    const { steps, piece, next } = batch(...events);
    expect(failedIn(steps, piece)).toEqual([]);
    expect(next).toMatchObject({ kind: 'do', piece: 1, step: { title: 'Glue a sleeve on' } });
    const sleeve = steps.find((s) => s.only === 1)!;
    expect(batch(...events, done(sleeve.id)).next).toMatchObject({ step: { id: 'try' } });
  });

  it('does again what was chosen, whatever was done after it stays', () => {
    const { piece, next } = batch(...toTheTrial, mended({ again: ['turn'] }));
    expect([...piece.done.keys()]).toEqual(['peg']);
    expect(next).toMatchObject({ step: { id: 'turn' } });
  });

  it('is mended where it was decided: what failed elsewhere, and was gone past, stays failed', () => {
    const failed = event({ kind: 'tried', stepId: 'try', fits: false, note: '' });
    const { steps, piece } = batch(
      done('turn'),
      done('peg'),
      failed,
      done('try'),
      mended({ stepId: 'sand', again: ['turn'] }),
    );
    expect(failedIn(steps, piece).map((s) => s.id)).toEqual(['try']);
  });

  it('makes the checks of that step once more', () => {
    const checked = [step('turn'), step('base', { checks: ['seam'] })];
    const events = [
      done('turn'),
      event({ kind: 'checked', stepId: 'base', checkId: 'seam', passed: false }),
      mended({ stepId: 'base' }),
    ];
    const [piece] = progressOf(lotsOf([{ partId: 'p', pieces: 1 }]), events, checked).pieces;
    expect(piece?.checked.has('seam')).toBe(false);
    expect(piece && failedIn(checked, piece)).toEqual([]);
  });

  it('keeps a size of its own, and the reason', () => {
    const { piece, other } = batch(...toTheTrial, mended({ keeps: [{ stationId: 'neck', mm: 11.4 }] }));
    expect([...piece.keeps]).toEqual([['neck', 11.4]]);
    expect(piece.mends.map((m) => m.why)).toEqual(['thin']);
    expect(other.keeps.size).toBe(0);
  });

  it('what mends is ended by itself, never with a whole run', () => {
    const { steps, piece } = batch(done('turn'), mended({ steps: [SLEEVE], stepId: 'peg' }));
    expect(ids(restOfRun(steps, steps.find((s) => s.only === 1)!.id, piece))).toEqual(['Glue a sleeve on']);
  });

  it('stands in the list as a line of its own', () => {
    const { steps, piece } = batch(done('turn'), mended({ steps: [SLEEVE], stepId: 'peg' }));
    expect(runsOf(stepsOfPiece(steps, piece)).map((r) => ids(r.steps))).toEqual([
      ['turn'],
      ['Glue a sleeve on'],
      ['peg', 'try', 'sand'],
    ]);
  });

  it('where its step is in no plan any more, stands at the end of its part', () => {
    const { steps } = batch(mended({ steps: [SLEEVE], stepId: 'gone' }));
    expect(ids(steps).at(-1)).toBe('Glue a sleeve on');
  });
});
