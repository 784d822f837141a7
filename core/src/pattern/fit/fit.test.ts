import { dim } from '../../measure/index.js';
import { chain, fitSample, radiusAt, type Element, type Outline, type SamplePoint } from '../index.js';

/** Noise that is the same every time: a linear congruential generator, twelve summed for a normal. */
function noiseFrom(seed: number): () => number {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  return () => Array.from({ length: 12 }, uniform).reduce((a, b) => a + b, 0) - 6;
}

/** An outline read off at even places, with noise on both sides. */
function sampled(outline: Outline, places: number, noise: number, seed = 7): SamplePoint[] {
  const next = noiseFrom(seed);
  return Array.from({ length: places }, (_, i) => {
    const x = (outline.length * (i + 0.5)) / places;
    const r = radiusAt(outline, x);
    return { x, up: r + noise * next(), down: r + noise * next() };
  });
}

const handle = chain(
  [
    { kind: 'cylinder', id: 'a', length: dim(18) },
    { kind: 'shoulder', id: 'b', endDiameter: dim(24) },
    { kind: 'cylinder', id: 'c', length: dim(10) },
    { kind: 'bead', id: 'd', length: dim(8), crown: dim(30) },
    { kind: 'cove', id: 'e', length: dim(14), bottom: dim(16) },
    { kind: 'taper', id: 'f', length: dim(50), endDiameter: dim(34) },
    { kind: 'arc', id: 'g', length: dim(30), endDiameter: dim(20), radius: dim(60), side: 'out' },
  ],
  20,
);
const wanted = [18, 28, 36, 50, 100];

describe('fitting elements to a sample', () => {
  it.each([
    [2000, 0.02],
    [2000, 0.06],
    [900, 0.03],
  ])('%i places with %f of noise: breaks found, diameters within the noise', (places, noise) => {
    const points = sampled(handle, places, noise);
    const fitted = fitSample(points);
    const spacing = handle.length / places;
    const start = points[0]!.x;
    for (const x of wanted) {
      const near = fitted.breaks.reduce((a, b) =>
        Math.abs(b.x + start - x) < Math.abs(a.x + start - x) ? b : a,
      );
      const off = Math.abs(near.x + start - x);
      // a break that the noise hides is known to the stretch that it names, any other to two spacings
      if (near.unsure) expect(off).toBeLessThan(near.to - near.from + spacing);
      else expect(off).toBeLessThan(2 * spacing);
    }
    expect(fitted.breaks.filter((b) => !b.unsure).length).toBeGreaterThanOrEqual(3);
    expect(fitted.breaks).toHaveLength(wanted.length);
    expect(fitted.outline.problems).toEqual([]);
    for (const x of [5, 23, 32, 43, 60, 90, 115, 125])
      expect(Math.abs(radiusAt(fitted.outline, x - start) - radiusAt(handle, x))).toBeLessThan(noise);
    // two sides averaged: the noise of a radius is that of one side over √2
    expect(fitted.noise).toBeGreaterThan((0.7 * noise) / Math.SQRT2);
    expect(fitted.noise).toBeLessThan((1.4 * noise) / Math.SQRT2);
    expect(fitted.error).toBeLessThan(1.5 * noise);
  });

  it('knows beads, coves, straights and rounds by their names', () => {
    const { turning } = fitSample(sampled(handle, 2000, 0.02));
    const kinds = turning.elements.map((e) => e.kind);
    expect(kinds).toEqual(['cylinder', 'shoulder', 'cylinder', 'bead', 'cove', 'taper', 'arc']);
    const bead = turning.elements[3] as Element & { kind: 'bead' };
    expect(Math.abs(bead.crown.mm - 30)).toBeLessThan(0.05);
  });

  it('leaves a slip of the calliper aside and names it', () => {
    const points = sampled(handle, 600, 0.02);
    points[222] = { ...points[222]!, up: points[222]!.up + 1.5, down: points[222]!.down + 1.5 };
    const { outliers, largest } = fitSample(points);
    expect(outliers).toHaveLength(1);
    expect(outliers[0]!.off).toBeCloseTo(1.5, 0);
    expect(Math.abs(largest.off)).toBeLessThan(0.5);
  });

  it('says where one side is worn', () => {
    const points = sampled(handle, 600, 0.01).map((p) =>
      p.x > 80 && p.x < 90 ? { ...p, down: p.down - 0.6 } : p,
    );
    const { asymmetry } = fitSample(points);
    expect(asymmetry.largest.x).toBeGreaterThan(80);
    expect(asymmetry.largest.x).toBeLessThan(90);
    expect(asymmetry.largest.off).toBeCloseTo(0.3, 1);
  });

  it('is unsure where a gentle taper begins, sure of a step', () => {
    const gentle = chain(
      [
        { kind: 'cylinder', id: 'a', length: dim(40) },
        { kind: 'taper', id: 'b', length: dim(80), endDiameter: dim(28.6) },
        { kind: 'shoulder', id: 'c', endDiameter: dim(22) },
        { kind: 'cylinder', id: 'd', length: dim(20) },
      ],
      30,
    );
    const { breaks } = fitSample(sampled(gentle, 1400, 0.03));
    expect(breaks).toHaveLength(2);
    expect(breaks[0]!.unsure).toBe(true);
    expect(breaks[0]!.to - breaks[0]!.from).toBeGreaterThan(1);
    expect(breaks[1]!.unsure).toBe(false);
  });

  it('takes a few stations read by calliper', () => {
    const stations = [0, 10, 20, 30, 40, 50, 60].map((x) => ({ x, up: 10 + x / 10, down: 10 + x / 10 }));
    const { turning, error } = fitSample(stations);
    expect(turning.elements).toHaveLength(1);
    expect(turning.elements[0]?.kind).toBe('taper');
    expect(error).toBeLessThan(0.01);
  });

  it('asks for more than two places', () => {
    expect(() => fitSample([{ x: 0, up: 5, down: 5 }])).toThrow(/at least three/);
  });
});
