import { begunElsewhere, inOtherHands } from './hands.js';
import { lotsOf } from './lots.js';
import { nextAction } from './pieceSummary.js';
import { progressOf } from './progress.js';
import type { RunEvent, RunEventBody } from './event.js';
import type { Step } from '../route/index.js';

const TEN = Date.UTC(2026, 2, 2, 10);
const at = (minutes: number) => TEN + minutes * 60_000;
const lots = lotsOf([{ partId: 'p', pieces: 3 }]);
const step = (id: string, minutes: number, locks: Step['locks'] = []) =>
  ({ id, partId: 'p', title: id, minutes, setupMinutes: 0, locks, wait: null }) as unknown as Step;
const steps = [step('rough', 5), step('turn', 20, [{ stepId: 'rough', reason: 'round first.' }])];

let sequence = 0;
const event = (device: string, piece: number, minutes: number, body: RunEventBody): RunEvent => ({
  id: `${device}${++sequence}`,
  piece,
  at: new Date(at(minutes)).toISOString(),
  device,
  sequence,
  planVersion: 1,
  body,
});
const began = (device: string, piece: number, minutes: number, stepId = 'rough') =>
  event(device, piece, minutes, { kind: 'started', stepId });
const ended = (device: string, piece: number, minutes: number, stepId = 'rough') =>
  event(device, piece, minutes, { kind: 'done', stepId });
const over = (events: RunEvent[], device: string, minutes: number) => [
  ...inOtherHands(steps, progressOf(lots, events, steps), device, at(minutes)),
];

describe('a piece that another device has begun', () => {
  it('is passed over until it is ended, left for another, or long over its time', () => {
    const events = [began('a', 1, 0)];
    expect(over(events, 'b', 1)).toEqual([1]);
    expect(over(events, 'a', 1)).toEqual([]);
    expect(over([...events, ended('a', 1, 4)], 'b', 5)).toEqual([]);
    expect(over([...events, began('a', 2, 4)], 'b', 5)).toEqual([2]);
    // five minutes are planned: after ten it is let go, and still said
    expect(over(events, 'b', 10)).toEqual([1]);
    expect(over(events, 'b', 10.1)).toEqual([]);
    expect(begunElsewhere(progressOf(lots, events, steps), 'b').get(1)).toMatchObject({
      device: 'a',
      at: at(0),
    });
  });

  it('is free again when it was rejected', () => {
    const rejected = event('c', 1, 1, { kind: 'rejected', stepId: 'rough', cause: 'split' });
    expect(over([began('a', 1, 0), rejected], 'b', 2)).toEqual([]);
  });

  it('is kept by the first of two who began at once; whoever has been at it for a while is not moved', () => {
    const both = [began('a', 1, 0), began('b', 1, 0.05)];
    expect(over(both, 'a', 0.1)).toEqual([]);
    expect(over(both, 'b', 0.1)).toEqual([1]);
    // b worked without a network, and hears of a only now
    expect(over(both, 'b', 3)).toEqual([]);
  });

  it('takes all of its blank with it', () => {
    const sharing = steps.map((s) => ({ ...s, share: { of: 2, place: null } }));
    const progress = progressOf(lots, [began('a', 1, 0)], sharing);
    expect(progress.pieces.map((p) => p.blank)).toEqual([0, 0, 1]);
    expect([...inOtherHands(sharing, progress, 'b', at(1))]).toEqual([1, 2]);
  });

  it('is not what is next; where nothing else is left it is shown', () => {
    const next = (events: RunEvent[], passedOver: Set<number>) =>
      nextAction(steps, progressOf(lots, events, steps), 'by-piece', at(1), passedOver);
    expect(next([], new Set([1]))).toMatchObject({ kind: 'do', piece: 2 });
    expect(next([], new Set([1, 2, 3]))).toMatchObject({ kind: 'do', piece: 1 });
    expect(next([], new Set())).toMatchObject({ kind: 'do', piece: 1 });
  });
});

it('what the first hand worked is not shortened by a second that takes it up; done again, it begins anew', () => {
  const startOf = (events: RunEvent[]) => progressOf(lots, events, steps).pieces[0]?.started.get('rough');
  const events = [began('a', 1, 0), began('b', 1, 30)];
  expect(startOf(events)).toBe(at(0));
  const open = event('b', 1, 40, { kind: 'reopened', stepId: 'rough' });
  expect(startOf([...events, ended('b', 1, 35), open, began('b', 1, 41)])).toBe(at(41));
});
