import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { chain, radiusAt, type Element, type Outline } from '../pattern/index.js';
import { heightAt, offsetAbove, edgePoints, templateFindings, templateOf, type Edge } from './index.js';
import { edgeOf, flipped } from './edge.js';

/** Rolls a disc along finely sampled points: no geometry but the definition. */
function bruteAbove(points: readonly [number, number][], d: number, x: number): number {
  let best = -Infinity;
  for (const [px, py] of points) {
    const u = px - x;
    if (Math.abs(u) <= d) best = Math.max(best, py + Math.sqrt(d * d - u * u));
  }
  return best;
}

/** Points every few hundredths, chords cut up as well. */
function fine(edge: Edge): [number, number][] {
  const points = edgePoints(edge, 1e-4);
  return points.flatMap(([x, y], i): [number, number][] => {
    const next = points[i + 1];
    if (!next) return [[x, y]];
    const parts = Math.max(1, Math.ceil(Math.hypot(next[0] - x, next[1] - y) / 0.02));
    return Array.from({ length: parts }, (_, k) => [
      x + ((next[0] - x) * k) / parts,
      y + ((next[1] - y) * k) / parts,
    ]);
  });
}

const element = (
  kind: 'bead' | 'cove' | 'taper' | 'shoulder' | 'cylinder',
  i: number,
  size: number,
): Element => {
  const id = `e${i}`;
  switch (kind) {
    case 'bead':
      return { kind, id, length: dim(6 + size), crown: dim(34 + size) };
    case 'cove':
      return { kind, id, length: dim(8 + 2 * size), bottom: dim(22) };
    case 'taper':
      return { kind, id, length: dim(12), endDiameter: dim(24 + 2 * size) };
    case 'shoulder':
      return { kind, id, endDiameter: dim(26 + size) };
    case 'cylinder':
      return { kind, id, length: dim(5 + size) };
  }
};
const profiles = fc
  .array(
    fc.record({
      kind: fc.constantFrom('bead', 'cove', 'taper', 'shoulder', 'cylinder'),
      size: fc.double({ min: 0, max: 4, noNaN: true }),
    }),
    { minLength: 2, maxLength: 6 },
  )
  .map((list) =>
    chain(
      list.map(({ kind, size }, i) => element(kind, i, size)),
      28,
    ),
  )
  .filter((o) => o.problems.length === 0 && o.length > 10);

describe('offset of an edge', () => {
  it('is a disc rolled along it, to a hundredth, whatever the profile', () =>
    fc.assert(
      fc.property(profiles, fc.double({ min: 0.5, max: 6, noNaN: true }), (outline, d) => {
        const edge = edgeOf(outline.segments);
        const points = fine(edge);
        const offset = offsetAbove(edge, d);
        const wrong = Array.from({ length: 60 }, (_, i) => (outline.length * (i + 0.37)) / 60)
          // beside a wall the height jumps: the sampled disc is a sample late there
          .filter((x) => !offset.some((p) => Math.abs(p.x0 - x) < 0.03))
          .filter((x) => Math.abs((heightAt(offset, x) ?? NaN) - bruteAbove(points, d, x)) > 0.01);
        return wrong.length === 0;
      }),
      { numRuns: 60, seed: 11 },
    ));

  it('goes round a corner by an arc and stands up beside a shoulder', () => {
    const edge: Edge = [
      { kind: 'line', x0: 0, y0: 10, x1: 20, y1: 10 },
      { kind: 'line', x0: 20, y0: 20, x1: 40, y1: 20 },
    ];
    const up = offsetAbove(edge, 3);
    expect(heightAt(up, 10)).toBeCloseTo(13, 9);
    expect(heightAt(up, 16.9)).toBeCloseTo(13, 9);
    expect(heightAt(up, 18.5)).toBeCloseTo(20 + Math.sqrt(9 - 2.25), 9);
    expect(heightAt(up, 30)).toBeCloseTo(23, 9);
  });

  it('turned over it shrinks what it grew wherever a disc fits', () => {
    const arc: Edge = [{ kind: 'arc', x0: -8, x1: 8, cx: 0, cy: 0, radius: 20, side: 1 }];
    const back = flipped(offsetAbove(flipped(offsetAbove(arc, 4)), 4));
    for (const x of [-7, -3, 0, 5, 7.5]) expect(heightAt(back, x)).toBeCloseTo(Math.sqrt(400 - x * x), 6);
  });
});

const profile = (...elements: Element[]): Outline => chain(elements, 30);
const softBead: Element = { kind: 'bead', id: 'b', length: dim(12), crown: dim(34) };
const tightCove: Element = { kind: 'cove', id: 'c', length: dim(3), bottom: dim(27) };
const plain = (id: string, length = 20): Element => ({ kind: 'cylinder', id, length: dim(length) });

describe('a template', () => {
  it('is the profile itself when stylus and cutter are alike and every hollow is wide enough', () => {
    const outline = profile(
      plain('a'),
      { kind: 'cove', id: 'c', length: dim(16), bottom: dim(24) },
      plain('z'),
    );
    const template = templateOf(outline, { stylus: 2, cutter: 2 });
    for (let x = 0.5; x < outline.length; x += 1.7)
      expect(heightAt(template.edge, x)).toBeCloseTo(radiusAt(outline, x), 6);
    expect(template.left).toEqual([]);
    expect(template.gouged).toEqual([]);
  });

  it('says what the cutter leaves in a hollow tighter than its nose', () => {
    const outline = profile(plain('a'), tightCove, plain('z'));
    const { left, gouged } = templateOf(outline, { stylus: 2, cutter: 4 });
    expect(gouged).toEqual([]);
    expect(left).toHaveLength(1);
    // a disc of 4 resting on two rims 3 apart sinks 4 − √(16 − 2.25) below them; the cove is 1.5 deep
    expect(left[0]?.by).toBeCloseTo(1.5 - (4 - Math.sqrt(16 - 2.25)), 3);
    expect(left[0]?.x).toBeCloseTo(21.5, 1);
  });

  it('says what a stylus larger than the cutter would gouge', () => {
    const outline = profile(plain('a'), { kind: 'shoulder', id: 's', endDiameter: dim(20) }, plain('z'));
    const copying = { stylus: 6, cutter: 2, templateKerf: 0 };
    const template = templateOf(outline, copying);
    expect(template.gouged.length).toBeGreaterThan(0);
    expect(templateFindings('p', template, copying).map((f) => f.severity)).toContain('warn');
    expect(templateOf(outline, { stylus: 2, cutter: 2 }).gouged).toEqual([]);
  });

  it('lets the cutter run out over an end that falls steeply', () => {
    const crown: Element = {
      kind: 'arc',
      id: 'r',
      length: dim(14),
      endDiameter: dim(6),
      radius: dim(14),
      side: 'out',
    };
    expect(templateOf(profile(plain('a'), crown), { stylus: 3, cutter: 3 }).left).toEqual([]);
  });

  it('never cuts too deep with a stylus no larger than the cutter', () =>
    fc.assert(
      fc.property(
        profiles,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.5, max: 5, noNaN: true }),
        (outline, share, cutter) =>
          templateOf(outline, { stylus: share * cutter, cutter }).gouged.length === 0,
      ),
      { numRuns: 60, seed: 5 },
    ));

  it('is split at the widest place and says where its edge turns sharply', () => {
    const outline = profile(
      plain('a'),
      softBead,
      { kind: 'shoulder', id: 's', endDiameter: dim(24) },
      plain('z'),
    );
    const template = templateOf(outline, { stylus: 1.5, cutter: 2 });
    expect(template.splitAt).toBeCloseTo(26, 3);
    expect(template.corners.length).toBeGreaterThan(0);
    expect(template.edge[0]?.x0).toBeCloseTo(-template.lead, 6);
    expect(template.edge.at(-1)?.x1).toBeCloseTo(outline.length + template.lead, 6);
  });
});
