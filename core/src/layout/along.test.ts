import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { outlineOf, STARTING_FORMS, type Element, type Outline } from '../pattern/index.js';
import { placesAlong } from './along.js';
import { layoutOf } from './marks.js';
import type { Mark } from './notches.js';
import { MATERIALS } from '../material/index.js';

const drawn = (...elements: Element[]): Outline => outlineOf({ id: 't', startDiameter: dim(20), elements });
const marksOf = (outline: Outline): Mark[] =>
  layoutOf(outline, { faces: [], bores: [], material: MATERIALS[0], gauges: [], firstGrain: null }).marks;
const along = (outline: Outline) => placesAlong(outline, marksOf(outline));

describe('places along the axis', () => {
  it('are the length, the shoulder and the bead, not the crown of a long barrel', () => {
    const outline = drawn(
      { kind: 'cylinder', id: 'e1', name: 'foot', length: dim(12) },
      { kind: 'shoulder', id: 'e2', name: 'step', endDiameter: dim(26) },
      { kind: 'bead', id: 'e3', name: 'ring', length: dim(8), crown: dim(32) },
      {
        kind: 'arc',
        id: 'e4',
        name: 'barrel',
        length: dim(80),
        endDiameter: dim(26),
        radius: dim(205),
        side: 'out',
      },
    );
    expect(along(outline).map(({ label, x, tolerance }) => [label, x, tolerance])).toEqual([
      ['place of the foot', 12, 0.5],
      ['place of the ring, crown', 16, 1],
      ['length over all', 100, 0.5],
    ]);
    expect(along(outline)[1]?.across).toBe(32);
  });

  it('are no more than the two that stand out most, in their order along the piece', () => {
    const bead = (id: string, crown: number): Element => ({
      kind: 'bead',
      id,
      name: id,
      length: dim(8),
      crown: dim(crown),
    });
    const outline = drawn(bead('a', 23), bead('b', 26), bead('c', 22), bead('d', 25));
    expect(along(outline).map((p) => p.label)).toEqual([
      'place of the b, crown',
      'place of the d, crown',
      'length over all',
    ]);
  });

  it('of a plain piece are its length alone', () =>
    expect(along(drawn({ kind: 'cylinder', id: 'e1', length: dim(60) })).map((p) => p.x)).toEqual([60]));

  it('lie on the piece, each by a name and an id of its own, whatever form it has', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...STARTING_FORMS),
        fc.double({ min: 0.6, max: 1.8, noNaN: true }),
        (form, by) => {
          const sizes = Object.fromEntries(form.questions.map((q) => [q.key, dim(q.usual * by)]));
          const outline = outlineOf(form.body(sizes, 'ash').parts[0].turnings[0]);
          const places = along(outline);
          expect(places.length).toBeLessThanOrEqual(3);
          expect(new Set(places.map((p) => p.id)).size).toBe(places.length);
          expect(new Set(places.map((p) => p.label)).size).toBe(places.length);
          expect(places.every((p) => p.x > 0 && p.x <= outline.length + 1e-6 && p.across >= 0)).toBe(true);
        },
      ),
      { numRuns: 40 },
    ));
});
