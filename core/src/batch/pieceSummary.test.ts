import fc from 'fast-check';
import { nextOf, summaryOf, type PieceSummary } from './pieceSummary.js';
import type { PieceProgress } from './pieceProgress.js';
import type { OrderedStep } from './holds.js';

const MINUTE = 60_000;
const lock = (stepId: string, reason: string) => ({ stepId, reason });
const glue = { minutes: 30, what: 'glue sets', kind: 'cure' };
/** Turn, glue (then wait), sand; sanding needs the glue set, finishing needs both. */
const steps = [
  { id: 'turn', title: 'Turn it', locks: [] },
  { id: 'glue', title: 'Glue it', locks: [], wait: glue },
  { id: 'sand', title: 'Sand it', locks: [lock('glue', 'the glue is hard'), lock('turn', 'it is round')] },
  { id: 'oil', title: 'Oil it', locks: [] },
].map((s) => ({ ...s, partId: 'p' })) as unknown as OrderedStep[];

const progress = (done: Record<string, number>, rest: Partial<PieceProgress> = {}): PieceProgress => ({
  piece: 1,
  partId: 'p',
  n: 1,
  blank: 0,
  place: 1,
  inBlank: 1,
  notes: [],
  keeps: new Map(),
  mends: [],
  joined: new Map(),
  carriedBy: null,
  partners: new Map(),
  done: new Map(Object.entries(done)),
  started: new Map(),
  doneBy: new Map(),
  timers: new Map(),
  overridden: new Set(),
  tried: new Map(),
  checked: new Map(),
  given: new Set(),
  rejected: null,
  ...rest,
});
const summed = (done: Record<string, number>, rest: Partial<PieceProgress> = {}) =>
  summaryOf(steps, progress(done, rest));
const waitOfGlue = { what: 'glue sets', until: 5 * MINUTE + 30 * MINUTE };

describe('a piece in sum', () => {
  it('that nothing was done to stands before its first step', () =>
    expect(summed({})).toEqual({
      piece: 1,
      stepsDone: 0,
      rejected: false,
      failed: false,
      step: 0,
      lockedBy: null,
      waits: [],
      meanwhile: [],
    }));

  it('stands before the first step that is not done, also when a later one is', () =>
    expect(summed({ turn: 0, oil: MINUTE })).toMatchObject({ stepsDone: 2, step: 1, lockedBy: null }));

  it('keeps when its wait ends, whether that is over or not', () =>
    expect(summed({ turn: 0, glue: 5 * MINUTE })).toMatchObject({
      stepsDone: 2,
      step: 2,
      lockedBy: null,
      waits: [waitOfGlue],
    }));

  it('is locked by what was passed over, and says why', () => {
    const passed = steps.toSpliced(0, 1).concat(steps.slice(0, 1));
    expect(summaryOf(passed, progress({ glue: 5 * MINUTE }))).toMatchObject({
      stepsDone: 1,
      step: 1,
      lockedBy: 'Turn it comes first: it is round',
      waits: [waitOfGlue],
    });
  });

  it('has neither lock nor wait before a step that was let go on', () =>
    expect(summed({ turn: 0, glue: 5 * MINUTE }, { overridden: new Set(['sand']) }).waits).toEqual([]));

  it('counts only steps of the plan it follows', () =>
    expect(summed({ turn: 0, 'of an older plan': 0 }).stepsDone).toBe(1));

  it('has nothing left when all is done, or when it was rejected', () => {
    const all = { turn: 0, glue: 0, sand: 0, oil: 0 };
    expect(summed(all)).toMatchObject({ stepsDone: 4, rejected: false, step: null });
    const rejected = { eventId: 'e', stepId: 'glue', cause: 'a crack', at: '' };
    expect(summed({ turn: 0 }, { rejected })).toMatchObject({ stepsDone: 1, rejected: true, step: null });
  });
});

const at = (piece: number, step: number | null, rest: Partial<PieceSummary> = {}): PieceSummary => ({
  piece,
  stepsDone: step ?? 4,
  rejected: false,
  failed: false,
  step,
  lockedBy: null,
  waits: [],
  meanwhile: [],
  ...rest,
});
const waits = (what: string, until: number) => ({ waits: [{ what, until }] });
const next = (pieces: PieceSummary[], school: 'by-piece' | 'by-operation', now = 0) =>
  nextOf(steps, pieces, school, now);

describe('what to do next', () => {
  const three = [at(3, 1), at(1, 2), at(2, 1)];

  it('is the first piece, or the operation that is furthest behind and in it the first piece', () => {
    expect(next(three, 'by-piece')).toEqual({ kind: 'do', piece: 1, step: steps[2] });
    expect(next(three, 'by-operation')).toEqual({ kind: 'do', piece: 2, step: steps[1] });
  });

  it('leaves out what waits or is locked', () => {
    expect(next([at(1, 2, waits('glue sets', 5)), at(2, 3)], 'by-piece')).toMatchObject({ piece: 2 });
    expect(next([at(1, 0, { lockedBy: 'no' }), at(2, 3)], 'by-operation')).toMatchObject({ piece: 2 });
  });

  it('goes on with what the wait does not keep back, and only while it runs', () => {
    const glued = summed({ turn: 0, glue: 5 * MINUTE });
    expect(glued.meanwhile).toEqual([{ step: 3, waits: [] }]);
    expect(next([glued], 'by-piece', 6 * MINUTE)).toMatchObject({ kind: 'do', step: { id: 'oil' } });
    expect(next([glued], 'by-piece', 40 * MINUTE)).toMatchObject({ kind: 'do', step: { id: 'sand' } });
    expect(summed({ turn: 0 }).meanwhile).toEqual([]);
  });

  it('waits as long as the lock says, where it says so', () => {
    const sooner = steps.map((s) =>
      s.id === 'sand' ? { ...s, locks: [{ ...lock('glue', 'it may be handled'), minutes: 10 }] } : s,
    );
    const waiting = summaryOf(sooner, progress({ turn: 0, glue: 5 * MINUTE })).waits;
    expect(waiting).toEqual([{ what: 'glue sets', until: 15 * MINUTE }]);
  });

  it('follows a school by runs, not by single steps', () => {
    const runs = steps.map((s, i) => ({ ...s, run: i < 2 ? 0 : 1, prepares: i < 2 })) as OrderedStep[];
    const by = (school: 'by-operation' | 'prepare-all', pieces: PieceSummary[]) => {
      const found = nextOf(runs, pieces, school, 0);
      return found.kind === 'do' ? found.piece : found.kind;
    };
    // the first piece is further on, but in the same run
    expect(by('by-operation', [at(1, 1), at(2, 0)])).toBe(1);
    expect(by('by-operation', [at(1, 2), at(2, 1)])).toBe(2);
    // once all are prepared the first is made to its end
    expect(by('prepare-all', [at(1, 3), at(2, 1)])).toBe(2);
    expect(by('prepare-all', [at(1, 3), at(2, 2)])).toBe(1);
  });

  it('goes on at the very instant a wait ends', () => {
    const pieces = [at(1, 2, waits('glue sets', 5))];
    expect(next(pieces, 'by-piece', 4)).toMatchObject({ kind: 'wait', until: 5 });
    expect(next(pieces, 'by-piece', 5)).toEqual({ kind: 'do', piece: 1, step: steps[2] });
  });

  it('is the wait that ends first when all wait; one that is locked has no end', () => {
    const pieces = [
      at(1, 2, { lockedBy: 'no' }),
      at(2, 2, waits('oil dries', 900)),
      at(3, 2, waits('glue sets', 90)),
    ];
    const first = { kind: 'wait', piece: 3, step: steps[2], until: 90, what: 'glue sets' };
    expect(next(pieces, 'by-piece')).toEqual(first);
    expect(next(pieces.toReversed(), 'by-piece')).toEqual(first);
    expect(next([at(1, 2, { lockedBy: 'Turn it comes first' })], 'by-piece', 7)).toEqual({
      kind: 'wait',
      piece: 1,
      step: steps[2],
      until: 7,
      what: 'Turn it comes first',
    });
  });

  it('is nothing when no piece has a step left', () => {
    expect(next([at(1, null), at(2, null)], 'by-piece')).toEqual({ kind: 'finished' });
    expect(next([], 'by-operation')).toEqual({ kind: 'finished' });
  });

  const piece = fc.record({
    step: fc.option(fc.nat(3)),
    lockedBy: fc.option(fc.constant('no')),
    until: fc.option(fc.integer({ min: 1, max: 100 }), { nil: undefined }),
  });
  it('never holds a batch up while a piece could go on, in either school', () =>
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 6 }), fc.nat(100), (all, now) => {
        const pieces = all.map(({ step, lockedBy, until }, i) =>
          at(i + 1, step, { lockedBy, ...(until === undefined ? {} : waits('w', until)) }),
        );
        const can = pieces.filter(
          (p) => p.step !== null && p.lockedBy === null && p.waits.every((w) => w.until <= now),
        );
        for (const school of ['by-piece', 'by-operation'] as const) {
          const found = next(pieces, school, now);
          expect(found.kind === 'do').toBe(can.length > 0);
          if (found.kind === 'do') expect(can.map((p) => p.piece)).toContain(found.piece);
          expect(found.kind === 'finished').toBe(pieces.every((p) => p.step === null));
        }
      }),
    ));
});
