import {
  fitSample,
  oneCurve,
  outlineOf,
  pointsOf,
  radiusAt,
  traceOf,
  type Feature,
  type SamplePoint,
} from '../index.js';

/** Stations by calliper: place, diameter, what was seen. */
const stations = (rows: readonly [number, number, Feature?][]): SamplePoint[] =>
  rows.map(([x, d, is]) => ({ x, up: d / 2, down: d / 2, ...(is ? { is } : {}) }));

const drawn = (points: readonly SamplePoint[]) =>
  fitSample(points).turning.elements.map((e) =>
    [
      e.kind,
      'length' in e ? e.length.mm : null,
      'crown' in e
        ? e.crown.mm
        : 'bottom' in e
          ? e.bottom.mm
          : 'endDiameter' in e
            ? e.endDiameter.mm
            : 'depth' in e
              ? e.depth.mm
              : null,
    ].filter((v) => v !== null),
  );

/** A leg of nine features, measured exactly as the screen asks: edges, crowns, bottoms, both sides of steps. */
const leg = stations([
  [0, 30],
  [25, 30, 'edge'],
  [31, 40, 'crown'],
  [37, 30, 'edge'],
  [45, 20, 'bottom'],
  [53, 30, 'edge'],
  [53, 24],
  [59, 24, 'edge'],
  [119, 40, 'edge'],
  [189, 22, 'edge'],
  [193, 30, 'crown'],
  [197, 22, 'edge'],
  [207, 22],
  [208, 20, 'groove'],
  [209, 22],
  [217, 22],
]);

describe('a sample measured at stations', () => {
  it('keeps each bead, cove, groove and step that was named, at the sizes that were measured', () => {
    expect(drawn(leg)).toEqual([
      ['cylinder', 25],
      ['bead', 12, 40],
      ['cove', 16, 20],
      ['shoulder', 24],
      ['cylinder', 6],
      ['taper', 60, 40],
      ['taper', 70, 22],
      ['bead', 8, 30],
      ['cylinder', 10],
      ['v-groove', 2, 1],
      ['cylinder', 8],
    ]);
    const { breaks, guesses, error } = fitSample(leg);
    expect(error).toBeLessThan(0.01);
    expect(guesses).toEqual([]);
    // where a groove meets what is beside it was measured, so that no edge is left open
    expect(breaks).toEqual([]);
  });

  it('takes a place that stands out for a ridge or a hollow, and says that it guessed', () => {
    const bare = leg.map(({ x, up, down }) => ({ x, up, down }));
    const { guesses, breaks } = fitSample(bare);
    expect(guesses).toEqual([
      { x: 31, taken: 'bead' },
      { x: 45, taken: 'cove' },
      { x: 193, taken: 'bead' },
      { x: 208, taken: 'cove' },
    ]);
    expect(breaks.length).toBeGreaterThan(3);
    expect(breaks.every((b) => b.unsure && b.from < b.x && b.x < b.to)).toBe(true);
  });

  it('a crown without edges beside it has its neighbours as edges', () => {
    const ball = stations([
      [0, 20],
      [10, 20],
      [14, 28, 'crown'],
      [18, 20],
      [30, 20],
    ]);
    expect(drawn(ball)).toEqual([
      ['cylinder', 10],
      ['bead', 8, 28],
      ['cylinder', 12],
    ]);
  });

  it('stations on the flanks lie between the edges that were named', () => {
    const belly = stations([
      [0, 20, 'edge'],
      [10, 28.2],
      [20, 31, 'crown'],
      [30, 28.2],
      [40, 20, 'edge'],
      [60, 20],
    ]);
    expect(drawn(belly)).toEqual([
      ['bead', 40, 31],
      ['cylinder', 20],
    ]);
  });

  it('a diameter of nothing at an end is a point', () => {
    const cone = stations([
      [0, 20],
      [10, 20, 'edge'],
      [40, 0],
    ]);
    expect(drawn(cone)).toEqual([
      ['cylinder', 10],
      ['taper', 30, 0],
    ]);
    expect(fitSample(cone).outline.problems).toEqual([]);
  });

  it('a round that was measured nine times is an arc, at its ends as measured', () => {
    const radius = 60;
    const rows = Array.from({ length: 9 }, (_, i): [number, number] => {
      const x = 5 * i;
      return [x, 2 * (Math.sqrt(radius * radius - x * x) - 15)];
    });
    const { turning, outline } = fitSample(stations(rows));
    expect(turning.elements.map((e) => e.kind)).toEqual(['arc']);
    for (const [x, d] of rows) expect(Math.abs(2 * radiusAt(outline, x) - d)).toBeLessThan(0.2);
  });

  it('a crown that lies on the line between its edges is no curve', () => {
    const flat = stations([
      [0, 20],
      [10, 20, 'edge'],
      [14, 20, 'crown'],
      [18, 20, 'edge'],
      [30, 16],
    ]);
    expect(drawn(flat)).toEqual([
      ['cylinder', 10],
      ['cylinder', 8],
      ['taper', 12, 16],
    ]);
  });

  it('what was seen is kept with the sample', () => {
    const kept = pointsOf(traceOf(leg));
    expect(kept.map((p) => p.is)).toEqual(leg.map((p) => p.is));
    expect(drawn(kept)).toEqual(drawn(leg));
  });
});

describe('curves made one', () => {
  const { turning } = fitSample(leg);

  it('two elements become one fair curve along their line; a step cannot', () => {
    const joined = oneCurve(turning, 5, 6);
    expect(joined?.elements.map((e) => e.kind)).toEqual([
      'cylinder',
      'bead',
      'cove',
      'shoulder',
      'cylinder',
      'fair',
      'bead',
      'cylinder',
      'v-groove',
      'cylinder',
    ]);
    const [before, after] = [outlineOf(turning), outlineOf(joined!)];
    expect(after.problems).toEqual([]);
    expect(after.length).toBeCloseTo(before.length, 2);
    for (const x of [62, 80, 110, 130, 180])
      expect(Math.abs(radiusAt(after, x) - radiusAt(before, x))).toBeLessThan(0.4);
    expect(oneCurve(turning, 2, 3)).toBeNull();
    expect(oneCurve(turning, 4, 4)).toBeNull();
  });
});
