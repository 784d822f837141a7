import type { Step } from '../route/index.js';
import {
  batchPieces,
  blanksBegun,
  contradictions,
  lotsOf,
  nextAction,
  progressOf,
  scheduleBatch,
  stepsOfPiece,
  type RunEvent,
  type RunEventBody,
} from './index.js';

const step = (id: string, place: number | null, locks: string[] = []): Step => ({
  id,
  partId: 'p',
  stage: 'turn',
  title: id,
  words: [],
  setup: { place: 'lathe', holding: 'chuck', tailstock: 'up' },
  speed: null,
  setupMinutes: 5,
  minutes: 10,
  remountMinutes: 1,
  wait: null,
  locks: locks.map((stepId) => ({ stepId, reason: 'it must.' })),
  timers: [],
  measures: [],
  against: 'finished',
  trialFit: false,
  share: { place, of: 2 },
  run: 0,
});

/** Two pieces in a blank: sawn once, the second turned when the first has been parted off, then the stub thrown away. */
const steps = [
  step('saw', null),
  step('turn', 1, ['saw']),
  step('part', 1, ['turn']),
  step('turn (2)', 2, ['saw', 'part']),
  step('stub', null, ['part', 'turn (2)']),
];
const lots = (count: number) => lotsOf([{ partId: 'p', pieces: count }]);
const done = (piece: number, ...ids: string[]): RunEvent[] =>
  ids.map((stepId, i) => event(piece, i, { kind: 'done', stepId }));
const event = (piece: number, sequence: number, body: RunEventBody): RunEvent => ({
  id: `${piece}/${sequence}`,
  piece,
  at: new Date(Date.UTC(2026, 2, 2, 8, 10 * piece + sequence)).toISOString(),
  device: 'bench',
  sequence: 10 * piece + sequence,
  planVersion: 1,
  body,
});
const rejected = (piece: number) => event(piece, 8, { kind: 'rejected', stepId: 'turn', cause: 'a check' });
const next = (pieces: number, events: RunEvent[]) => {
  const found = nextAction(steps, progressOf(lots(pieces), events, steps), 'by-piece', Date.UTC(2026, 2, 3));
  return found.kind === 'finished' ? found.kind : `${found.kind} ${found.piece} ${found.step.id}`;
};

describe('pieces that lie in one blank', () => {
  it('are counted blank by blank, the last one may hold fewer', () => {
    const five = batchPieces(lots(5), steps);
    expect(five.map((p) => [p.blank, p.place, p.inBlank])).toEqual([
      [0, 1, 2],
      [0, 2, 2],
      [1, 1, 2],
      [1, 2, 2],
      [2, 1, 1],
    ]);
    expect(stepsOfPiece(steps, five[3]!).map((s) => s.id)).toEqual(['saw', 'turn (2)', 'stub']);
  });

  it('share what is done to the blank; each has its own steps, and waits for those of the other', () => {
    expect(next(4, [])).toBe('do 1 saw');
    expect(next(4, done(2, 'saw'))).toBe('do 1 turn');
    expect(next(4, done(1, 'saw', 'turn', 'part'))).toBe('do 2 turn (2)');
    // the other blank knows nothing of it
    expect(progressOf(lots(4), done(1, 'saw'), steps).pieces.map((p) => p.done.has('saw'))).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect(next(2, [...done(1, 'saw', 'turn', 'part'), ...done(2, 'turn (2)')])).toBe('do 1 stub');
    expect(next(2, [...done(1, 'saw', 'turn', 'part'), ...done(2, 'turn (2)', 'stub')])).toBe('finished');
  });

  it('do not wait for a piece that was rejected, nor for one that was never ordered', () => {
    expect(next(2, [...done(1, 'saw'), rejected(1)])).toBe('do 2 turn (2)');
    // alone in the last blank: the stub waits for nothing that lies beside it
    expect(next(3, [...done(1, 'saw', 'turn', 'part'), ...done(2, 'turn (2)', 'stub')])).toBe('do 3 saw');
    const alone = [
      ...done(1, 'saw', 'turn', 'part'),
      ...done(2, 'turn (2)', 'stub'),
      ...done(3, 'saw', 'turn', 'part'),
    ];
    expect(next(3, alone)).toBe('do 3 stub');
    expect(progressOf(lots(2), [rejected(1)], steps).pieces.map((p) => p.rejected !== null)).toEqual([
      true,
      false,
    ]);
  });

  it('contradict themselves only where the blank does', () => {
    const ids = (pieces: number, events: RunEvent[]) =>
      contradictions(steps, lots(pieces), events).map((f) => f.id);
    expect(ids(2, [...done(1, 'saw', 'turn', 'part'), ...done(2, 'turn (2)')])).toEqual([]);
    expect(ids(2, [...done(1, 'saw'), ...done(2, 'turn (2)')])).toEqual(['run.order.2.turn (2)']);
    expect(ids(2, [...done(1, 'saw'), rejected(1), ...done(2, 'turn (2)')])).toEqual([]);
    expect(ids(1, done(1, 'saw', 'turn', 'part', 'stub'))).toEqual([]);
  });

  it('are scheduled with the blank worked on once, in an order that holds, in every school', () => {
    const hours = { timeZone: 'UTC', windows: [] };
    for (const school of ['by-piece', 'by-operation', 'prepare-all'] as const) {
      const { handsOnMinutes, spans } = scheduleBatch(steps, lots(4), hours, 0, school);
      // two blanks of five steps, one set-up, each blank put on the lathe once
      expect(handsOnMinutes).toBe(2 * 5 * 10 + 5 + 2);
      const from = (id: string) => spans.find((s) => s.stepId === id)!.from;
      expect(from('turn (2)') > from('part')).toBe(true);
      expect(scheduleBatch(steps, lots(3), hours, 0, school).handsOnMinutes).toBe(9 * 10 + 5 + 2);
    }
  });
});

it('blanks are begun with the first of their pieces, each once, part by part', () => {
  const lots = lotsOf([
    { partId: 'body', pieces: 5 },
    { partId: 'stem', pieces: 2 },
  ]);
  const pieces = batchPieces(lots, [{ partId: 'body', share: { of: 2, place: null } }]);
  const begun = (...numbers: number[]) => Object.fromEntries(blanksBegun(pieces, new Set(numbers)));
  expect(begun()).toEqual({});
  // 1 and 2 lie in one blank, 5 has the third to itself; 6 and 7 are stems
  expect(begun(1, 2)).toEqual({ body: 1 });
  expect(begun(2, 5, 7)).toEqual({ body: 2, stem: 1 });
  expect(begun(1, 2, 3, 4, 5, 6, 7)).toEqual({ body: 3, stem: 2 });
});
