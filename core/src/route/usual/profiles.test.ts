import fc from 'fast-check';
import { dim } from '../../measure/index.js';
import { outlineOf, pointsAlong, radiusAt, STARTING_FORMS, type Element } from '../../pattern/index.js';
import { between, nibAt, turnedSegments } from './profiles.js';

const outline = (start: number, elements: Element[]) =>
  outlineOf({ id: 't', startDiameter: dim(start), elements });

describe('where an end is as thick as a nib', () => {
  it('on a cone by proportion: from a point to 20 over 30 it is 8 thick at 12', () => {
    const cone = outline(0, [{ kind: 'taper', id: 'a', length: dim(30), endDiameter: dim(20) }]);
    expect(nibAt(cone, 'reference', 4)).toBeCloseTo(12, 6);
    expect(nibAt(cone, 'far', 4)).toBe(30);
  });

  it('on a ball by Pythagoras: of 40, 4 from the axis lies 20 − √(400 − 16) = 0.404 from either pole', () => {
    const ball = outline(0, [{ kind: 'sphere', id: 'a', diameter: dim(40), endDiameter: dim(0) }]);
    expect(nibAt(ball, 'reference', 4)).toBeCloseTo(0.4041, 3);
    expect(nibAt(ball, 'far', 4)).toBeCloseTo(39.5959, 3);
  });

  it('lies in the next element where the first is thinner altogether, and is the end itself where that is stout', () => {
    const stepped = outline(3, [
      { kind: 'cylinder', id: 'pin', length: dim(5) },
      { kind: 'shoulder', id: 's', endDiameter: dim(20) },
      { kind: 'cylinder', id: 'body', length: dim(20) },
    ]);
    expect(nibAt(stepped, 'reference', 4)).toBe(5);
    expect(nibAt(stepped, 'far', 4)).toBe(25);
  });
});

const forms = STARTING_FORMS.map((f) => outlineOf(f.body({}, 'maple').parts[0].turnings[0]));

describe('a stretch of a profile', () => {
  it('is the profile there, and nothing beyond: arcs keep their circle', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...forms),
        fc.double({ min: 0.05, max: 0.45, noNaN: true }),
        fc.double({ min: 0.55, max: 0.95, noNaN: true }),
        (own, a, b) => {
          const [from, to] = [a * own.length, b * own.length];
          const cut = between(own.segments, from, to);
          expect(cut[0]!.x0).toBeGreaterThanOrEqual(from - 1e-9);
          expect(cut.at(-1)!.x1).toBeLessThanOrEqual(to + 1e-9);
          for (const { x, r } of pointsAlong({ segments: cut }, 0.01))
            if (x > from + 1e-6 && x < to - 1e-6) expect(r).toBeLessThanOrEqual(radiusAt(own, x) + 1e-6);
          for (let i = 1; i < 20; i++) {
            const x = from + (i / 20) * (to - from);
            expect(radiusAt({ segments: cut }, x)).toBeCloseTo(radiusAt(own, x), 6);
          }
        },
      ),
    ));

  it('of a square that is left is what clips its corners and its shoulder, never its flats', () => {
    const leg = outline(30, [
      {
        kind: 'square',
        id: 'sq',
        length: dim(40),
        across: dim(30),
        endDiameter: dim(18),
        shoulder: 'rolled',
        roll: dim(6),
      },
      { kind: 'cylinder', id: 'c', length: dim(60) },
    ]);
    const turned = turnedSegments(leg, 'sq');
    expect(turned.length).toBeGreaterThan(0);
    expect(turned.some((s) => s.bulge === 0 && s.r0 === 15 && s.r1 === 15)).toBe(false);
    expect(Math.min(...turned.map((s) => Math.min(s.r0, s.r1)))).toBeCloseTo(9, 6);
  });
});
