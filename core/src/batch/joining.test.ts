import { contradictions } from './contradictions.js';
import type { RunEvent } from './event.js';
import { progressOf } from './progress.js';
import type { Step } from '../route/index.js';

// pieces 1 and 2 are stems, 3 to 6 bodies, 7 a ring
const lots = [
  { partId: 'stem', first: 1, count: 2 },
  { partId: 'body', first: 3, count: 4 },
  { partId: 'ring', first: 7, count: 1 },
];
const step = (id: string, partId: string, rest: object = {}) =>
  ({ id, partId, title: id, locks: [], wait: null, ...rest }) as unknown as Step;
const steps = [
  step('cut', 'stem'),
  step('turn', 'body'),
  step('bend', 'ring'),
  step('glue', 'stem', { takes: ['body', 'body'] }),
];
let clock = 0;
const joined = (piece: number, pieces: number[], stepId = 'glue'): RunEvent => ({
  id: `e${++clock}`,
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, clock)).toISOString(),
  device: 'tablet',
  sequence: clock,
  planVersion: 1,
  body: { kind: 'joined', stepId, pieces },
});
const state = (...events: RunEvent[]) => progressOf(lots, events, steps).pieces;

describe('a join', () => {
  it('takes pieces of its parts, as many as it says, the first of them', () => {
    const pieces = state(joined(1, [3, 4, 5]));
    expect(pieces[0]!.joined.get('glue')).toEqual([3, 4]);
    expect(pieces.map((p) => p.carriedBy)).toEqual([null, null, 1, 1, null, null, null]);
  });

  it('does not take another part, and says so', () => {
    const wrong = joined(1, [7, 2, 3]);
    expect(state(wrong)[0]!.joined.get('glue')).toEqual([3]);
    const found = contradictions(steps, lots, [wrong]);
    expect(found.map((f) => f.what)).toEqual([
      'Piece 7 was joined to piece 1, and cannot be.',
      'Piece 2 was joined to piece 1, and cannot be.',
    ]);
    expect(found[0]!.why).toBe('What tablet recorded takes another part.');
  });

  it('leaves a wrong part free for where it belongs', () => {
    const rings = [...steps, step('thread', 'stem', { takes: ['ring'] })];
    const events = [joined(1, [7]), joined(2, [7], 'thread')];
    const { pieces } = progressOf(lots, events, rings);
    expect(pieces[1]!.joined.get('thread')).toEqual([7]);
    expect(contradictions(rings, lots, events).map((f) => f.id)).toEqual(['run.joined.1.7']);
  });

  it('of an older plan keeps what was put to it', () => {
    expect(state(joined(1, [7], 'before'))[0]!.joined.get('before')).toEqual([7]);
  });
});
