import fc from 'fast-check';
import { inspectTwins, judge, signed, twinsFindings, type Station } from './index.js';
import { trendOf } from './trend.js';
import { type StationReading } from './twins.js';

const station = (id: string, finished: number, rest: Partial<Station> = {}): Station => ({
  id,
  label: id,
  x: 0,
  finished,
  cutTo: finished + 0.2,
  tolerance: 0.5,
  mating: false,
  ...rest,
});

describe('judge', () => {
  it('says how much and what to do', () => {
    expect(judge(30.8, station('collar', 30), 'finished')).toMatchObject({
      verdict: 'fat',
      words: '⟦0.8⟧ fat: 2 light passes, measure before the last.',
    });
    expect(judge(30.3, station('collar', 30, { tolerance: 0.1 }), 'finished').words).toBe(
      '⟦~0.3⟧ fat: one light pass.',
    );
    expect(judge(29.8, station('foot', 30, { tolerance: 0.1, mating: true }), 'finished').words).toContain(
      'will not meet',
    );
    expect(judge(30.2, station('collar', 30), 'cut')).toMatchObject({
      verdict: 'good',
      words: 'Right on size.',
    });
  });

  it('gives a deviation its sign, but none to what rounds to nothing', () => {
    expect([signed(0.123), signed(-0.02), signed(-0.004)]).toEqual(['+⟦~0.123⟧', '−⟦~0.02⟧', '⟦~0⟧']);
  });

  it('accepts a reading exactly on its limit in spite of floating point', () => {
    expect(judge(12.7, station('x', 12.9, { tolerance: 0.2 }), 'finished').verdict).toBe('good');
  });
});

describe('trend', () => {
  it('agrees with the worked example n = 6, S = 13: var = 28.33, z = 2.254, p = 0.024', () => {
    const trend = trendOf([1, 2, 3, 5, 4, 6], [1, 2, 3, 4, 5, 6]);
    expect(trend.p).toBeCloseTo(0.0242, 3);
    expect(trend.drifts).toBe(true);
  });

  it('gives the slope of a straight drift exactly and finds none in a constant', () => {
    expect(trendOf([10, 10.03, 10.06, 10.09, 10.12], [1, 2, 3, 4, 5]).slope).toBeCloseTo(0.03, 9);
    expect(trendOf([5, 5, 5, 5, 5, 5], [1, 2, 3, 4, 5, 6])).toMatchObject({
      slope: 0,
      drifts: false,
      told: true,
    });
    // of four nobody can say that they are steady either
    expect(trendOf([5, 5, 5, 5], [1, 2, 3, 4])).toMatchObject({ drifts: false, told: false });
  });

  it('turns round with the order of making', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 5, maxLength: 15 }),
        (values) => {
          const at = values.map((_, i) => i);
          const forward = trendOf(values, at);
          const back = trendOf([...values].reverse(), at);
          return Math.abs(forward.slope + back.slope) < 1e-9 && Math.abs(forward.p - back.p) < 1e-9;
        },
      ),
    );
  });
});

describe('twins', () => {
  const stations = [
    station('foot', 32, { tolerance: 0.1, mating: true }),
    station('collar', 35),
    station('crown', 40),
  ];
  const pieces = Array.from({ length: 8 }, (_, i) => ({ piece: i + 1, rejected: false }));
  const readings = (f: (piece: number, s: Station) => number): StationReading[] =>
    pieces.flatMap(({ piece }) => stations.map((s) => ({ piece, stationId: s.id, mm: f(piece, s) })));

  it('are twins when all are within tolerance', () => {
    const found = inspectTwins(
      stations,
      readings((_, s) => s.finished + 0.05),
      pieces,
    );
    expect(found.state).toBe('twins');
    expect(found.headline).toBe('Twins: all 8 within tolerance.');
    expect(twinsFindings(found)).toEqual([]);
    expect(found.stations[0]).toMatchObject({
      count: 8,
      mean: expect.closeTo(32.05, 9),
      deviation: expect.closeTo(0, 9),
    });
  });

  it('are not when one is thin where it mates, fat, or thin where it is seen', () => {
    const off: Record<number, number> = { 2: -0.3, 3: 0.2 };
    const found = inspectTwins(
      stations,
      readings(
        (p, s) => s.finished + (s.id === 'foot' ? (off[p] ?? 0) : p === 4 && s.id === 'crown' ? -0.9 : 0),
      ),
      pieces,
    );
    expect(found.pieces.map((p) => p.verdict)).toEqual([
      'good',
      'scrap',
      'rework',
      'odd one out',
      'good',
      'good',
      'good',
      'good',
    ]);
    expect(found.headline).toBe('Not twins yet: 5 of 8 are good.');
    expect(twinsFindings(found)).toMatchObject([{ severity: 'warn', stage: 'twins', what: found.headline }]);
  });

  it('are not when a bead sits elsewhere, whatever the diameters say', () => {
    const place = station('place of the bead', 40, { x: 40, cutTo: 40, tolerance: 1, along: { across: 35 } });
    const measuredAt = (at: (piece: number) => number) =>
      inspectTwins(
        [...stations, place],
        [
          ...readings((_, s) => s.finished),
          ...pieces.map(({ piece }) => ({ piece, stationId: place.id, mm: at(piece) })),
        ],
        pieces,
      );
    expect(measuredAt(() => 40.9).state).toBe('twins');
    const found = measuredAt((piece) => (piece === 3 ? 43 : 40));
    expect(found.state).toBe('not twins');
    expect(found.pieces[2]?.verdict).toBe('odd one out');
    expect(found.sentences.join(' ')).toContain('Piece 3: a place along the axis is off');
    expect(found.sentences.join(' ')).not.toContain('thin where');
    expect(judge(43, place, 'finished').words).toContain('⟦3⟧ too far from the reference end');
    // one that wanders is no fault of the tool
    expect(measuredAt((piece) => 39.6 + 0.1 * piece).cause).toContain('the stick slips');
  });

  it('names the gauge when one station drifts and the tool when all do', () => {
    const jitter = [0, 0.02, -0.01, 0.01, 0, -0.02, 0.02, 0];
    const one = inspectTwins(
      stations,
      readings((p, s) => s.finished + (s.id === 'collar' ? 0.04 * p : (jitter[p - 1] ?? 0))),
      pieces,
    );
    expect(one.cause).toContain('Only collar drifts');
    const all = inspectTwins(
      stations,
      readings((p, s) => s.finished + 0.01 * p),
      pieces,
    );
    expect(all.cause).toContain('grow together');
  });

  it('leaves rejected pieces out of the spread and waits for what is not measured', () => {
    const some = readings((_, s) => s.finished).filter((r) => r.piece <= 3);
    const found = inspectTwins(
      stations,
      some,
      pieces.map((p) => ({ ...p, rejected: p.piece === 3 })),
    );
    expect(found.state).toBe('part measured');
    expect(found.stations[0]?.count).toBe(2);
    expect(inspectTwins(stations, [], pieces).state).toBe('unmeasured');
  });
});

describe('a piece on which a check or a fit did not hold', () => {
  const stations = [station('collar', 30)];
  const right = [1, 2].map((piece) => ({ piece, stationId: 'collar', mm: 30 }));

  it('is not good whatever its diameters are, and says what to do', () => {
    const verdict = inspectTwins(stations, right, [
      { piece: 1, rejected: false },
      { piece: 2, rejected: false, failed: 'Screw the base on' },
    ]);
    expect(verdict.state).toBe('not twins');
    expect(verdict.headline).toBe('Not twins yet: 1 of 2 are good.');
    expect(verdict.sentences[0]).toBe(
      'Piece 2: Screw the base on: it did not hold; cut again, mend it, or reject it.',
    );
    // it is not called fat for that
    expect(verdict.sentences.join()).not.toContain('fat');
  });

  it('is not good before anything is measured either, and leaves the verdict when it is rejected', () => {
    expect(inspectTwins(stations, [], [{ piece: 1, rejected: false, failed: 'Trial fit' }]).state).toBe(
      'not twins',
    );
    const gone = inspectTwins(stations, right.slice(0, 1), [
      { piece: 1, rejected: false },
      { piece: 2, rejected: true, failed: 'Trial fit' },
    ]);
    expect(gone.state).toBe('twins');
  });
});

describe('a mended piece that keeps a size of its own', () => {
  const stations = [station('neck', 12), station('collar', 30)];
  const readings = [1, 2].flatMap((piece) => [
    { piece, stationId: 'neck', mm: piece === 1 ? 10.8 : 12 },
    { piece, stationId: 'collar', mm: 30 },
  ]);
  const judged = (keeps?: ReadonlyMap<string, number>) =>
    inspectTwins(stations, readings, [
      { piece: 1, rejected: false, ...(keeps ? { keeps } : {}) },
      { piece: 2, rejected: false },
    ]);

  it('is held against that size, and is the odd one out, said as mended', () => {
    const { pieces, sentences } = judged(new Map([['neck', 10.8]]));
    expect(pieces.map((p) => [p.verdict, p.mended])).toEqual([
      ['odd one out', true],
      ['good', false],
    ]);
    expect(pieces[0]?.judgements[0]?.judgement.verdict).toBe('good');
    expect(sentences).toContain('Piece 1: mended, and keeps a size of its own.');
    expect(sentences.join()).not.toContain('thin where it is only seen');
  });

  it('where it comes out otherwise once more, is judged by that', () =>
    expect(judged(new Map([['neck', 12.6]])).pieces[0]?.judgements[0]?.judgement.verdict).toBe('thin'));

  it('without a mend it is thin', () =>
    expect(judged().sentences.join()).toContain('thin where it is only seen'));
});
