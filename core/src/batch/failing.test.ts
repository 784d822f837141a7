import type { Step } from '../route/index.js';
import {
  failedIn,
  holdsOn,
  lotsOf,
  nextAction,
  progressOf,
  type RunEvent,
  type RunEventBody,
} from './index.js';

const step = (id: string, rest: Partial<Step> = {}): Step =>
  ({
    id,
    partId: 'p',
    title: id,
    locks: [],
    wait: null,
    measures: [],
    trialFit: false,
    ...rest,
  }) as unknown as Step;
const steps = [
  step('turn'),
  step('try', { trialFit: true }),
  step('sand'),
  step('base', { checks: ['seam'] }),
  step('pack'),
];
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
const done = (stepId: string) => event({ kind: 'done', stepId });
const tried = (fits: boolean) => event({ kind: 'tried', stepId: 'try', fits, note: '' });
const checked = (passed: boolean) => event({ kind: 'checked', stepId: 'base', checkId: 'seam', passed });
const progress = (...events: RunEvent[]) => progressOf(lotsOf([{ partId: 'p', pieces: 2 }]), events, steps);
const holds = (stepId: string, ...events: RunEvent[]) =>
  holdsOn(
    steps.find((s) => s.id === stepId)!,
    steps,
    progress(...events).pieces[0]!,
    0,
  ).map((h) => h.reason);

describe('a fit or a check that did not hold', () => {
  it('stops all that comes after it on that piece, and on no other', () => {
    const events = [done('turn'), tried(false), done('try')];
    expect(failedIn(steps, progress(...events).pieces[0]!).map((s) => s.id)).toEqual(['try']);
    expect(holds('sand', ...events)).toEqual([expect.stringContaining('try: it did not hold')]);
    expect(holds('pack', ...events)).toHaveLength(1);
    // it can be tried again, and what comes before can be done again
    expect(holds('try', ...events)).toEqual([]);
    expect(holds('turn', ...events)).toEqual([]);
    expect(nextAction(steps, progress(...events), 'by-piece', 0)).toMatchObject({ kind: 'do', piece: 2 });
  });

  it('lets go when it holds the next time', () => {
    expect(holds('sand', tried(false), tried(true))).toEqual([]);
    expect(holds('pack', checked(false))).toHaveLength(1);
    expect(holds('pack', checked(false), checked(true))).toEqual([]);
  });

  it('is gone past once with a reason, and then stops nothing a second time; it is still known', () => {
    const events = [
      tried(false),
      event({ kind: 'overridden', stepId: 'sand', why: 'the customer has seen it' }),
    ];
    expect(holds('sand', ...events)).toEqual([]);
    expect(holds('pack', ...events)).toEqual([]);
    expect(failedIn(steps, progress(...events).pieces[0]!)).toHaveLength(1);
  });
});
