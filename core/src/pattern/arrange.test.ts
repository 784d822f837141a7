import fc from 'fast-check';
import { dim } from '../measure/index.js';
import {
  canJoin,
  compareOutlines,
  differenceInWords,
  ELEMENT_KIND_NAMES,
  joinWithNext,
  mirroredTurning,
  newElement,
  outlineOf,
  radiusAt,
  repeated,
  scaled,
  splitAt,
  STARTING_FORMS,
  type ElementKind,
  type Turning,
} from './index.js';
import { sameWood } from './same.js';

const turningOf = (kinds: ElementKind[]): Turning => ({
  id: 't',
  startDiameter: dim(24),
  elements: kinds.map((kind, i) => newElement(kind, `e${i}`, 24)),
});
const anyTurning = fc
  .array(fc.constantFrom(...ELEMENT_KIND_NAMES), { minLength: 1, maxLength: 6 })
  .map(turningOf)
  .filter((t) => outlineOf(t).problems.length === 0);

const ids = () => {
  let n = 100;
  return () => `e${++n}`;
};

describe('mirroring', () => {
  it('reads the same outline from the other end, and twice is none', () => {
    fc.assert(
      fc.property(anyTurning, (turning) => {
        const outline = outlineOf(turning);
        const mirror = outlineOf(mirroredTurning(turning));
        expect(mirror.problems).toEqual([]);
        expect(mirror.length).toBeCloseTo(outline.length, 6);
        for (const share of [0.11, 0.37, 0.52, 0.83])
          expect(radiusAt(mirror, (1 - share) * outline.length)).toBeCloseTo(
            radiusAt(outline, share * outline.length),
            2,
          );
        const twice = outlineOf(mirroredTurning(mirroredTurning(turning)));
        expect(Math.abs(compareOutlines(outline, twice).largest.difference)).toBeLessThan(1e-6);
      }),
      { numRuns: 60 },
    );
  });
});

describe('mirroring a row or a peg', () => {
  const radii = (turning: Turning, ...xs: number[]) => xs.map((x) => radiusAt(outlineOf(turning), x));

  it('turns the elements of a row round as well', () => {
    const turning: Turning = {
      id: 't',
      startDiameter: dim(20),
      elements: [
        {
          kind: 'repeat',
          id: 'r',
          times: 2,
          elements: [
            { kind: 'bead', id: 'r.1', length: dim(6), crown: dim(24) },
            { kind: 'cylinder', id: 'r.2', length: dim(4) },
          ],
        },
      ],
    };
    expect(radii(turning, 3, 8)).toEqual([12, 10]);
    expect(radii(mirroredTurning(turning), 17, 12)).toEqual([12, 10]);
  });

  it('keeps the shoulder of a peg that comes to begin the part', () => {
    const turning: Turning = {
      id: 't',
      startDiameter: dim(30),
      elements: [
        { kind: 'cylinder', id: 'a', length: dim(40) },
        { kind: 'tenon', id: 'b', length: dim(20), hole: dim(12), fit: 'slip' },
      ],
    };
    const mirror = mirroredTurning(turning);
    expect(radii(mirror, 10, 30)).toEqual([5.875, 15]);
    expect(mirror.elements.map((e) => e.kind)).toEqual(['tenon', 'shoulder', 'cylinder']);
    // and back again: the shoulder is now an element, and no further one comes
    expect(radii(mirroredTurning(mirror), 20, 50)).toEqual([15, 5.875]);
    expect(mirroredTurning(mirror).elements).toHaveLength(3);
  });
});

describe('splitting and joining', () => {
  const turning: Turning = {
    id: 't',
    startDiameter: dim(30),
    elements: [
      { kind: 'taper', id: 'a', length: dim(40), endDiameter: dim(20) },
      { kind: 'arc', id: 'b', length: dim(30), endDiameter: dim(20), radius: dim(60), side: 'out' },
    ],
  };

  it('leaves the wood as it was', () => {
    for (const x of [10, 55]) {
      const cut = splitAt(turning, x, ids());
      expect(cut.elements).toHaveLength(3);
      const largest = compareOutlines(outlineOf(turning), outlineOf(cut)).largest;
      expect(Math.abs(largest.difference)).toBeLessThan(1e-6);
    }
  });

  it('joined again they are one element of the same form', () => {
    const cut = splitAt(turning, 55, ids());
    expect(canJoin(cut.elements[1]!, cut.elements[2])).toBe(true);
    const whole = joinWithNext(cut, 'b');
    expect(whole.elements).toHaveLength(2);
    expect(Math.abs(compareOutlines(outlineOf(turning), outlineOf(whole)).largest.difference)).toBeLessThan(
      1e-6,
    );
    expect(canJoin(turning.elements[0]!, turning.elements[1])).toBe(false);
  });

  it('a bead made a row of three is three times as long', () => {
    const beads = turningOf(['bead']);
    const row = repeated(beads, 'e0', 3, ids());
    expect(outlineOf(row).length).toBeCloseTo(3 * outlineOf(beads).length, 9);
  });
});

describe('scaling', () => {
  it('moves everything but what is held', () => {
    const body = STARTING_FORMS.find((f) => f.id === 'leg')!.body({}, 'ash');
    const [turning] = body.parts[0].turnings;
    const smaller = scaled(turning, { length: 0.8, diameter: 0.9 });
    expect(smaller.startDiameter.mm).toBe(turning.startDiameter.mm);
    expect(smaller.total?.mm).toBeCloseTo(440 * 0.8, 9);
    const [was, now] = [turning.elements[0]!, smaller.elements[0]!];
    expect('across' in was && 'across' in now && was.across.mm === now.across.mm).toBe(true);
    expect('length' in was && 'length' in now && was.length.mm === now.length.mm).toBe(true);
  });

  it('by one changes nothing, typed fractions included', () => {
    const body = STARTING_FORMS[0].body({ base: { mm: 31.75, typed: '1 1/4' } }, 'ash');
    const [turning] = body.parts[0].turnings;
    expect(scaled(turning, { length: 1, diameter: 1 })).toEqual(turning);
  });
});

describe('the same wood', () => {
  it('does not depend on the order of keys, typed text or names', () => {
    expect(sameWood({ a: 1, b: { mm: 2, typed: '2' } }, { b: { mm: 2 }, a: 1, name: 'x' })).toBe(true);
    expect(sameWood({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
  });

  it('a change of form is said even when no dimension changed', () => {
    const before = STARTING_FORMS.find((f) => f.id === 'leg')!.body({}, 'ash');
    const after = structuredClone(before);
    const bead = after.parts[0].turnings[0].elements.find((e) => e.kind === 'bead')!;
    if (bead.kind === 'bead') bead.form = 'round';
    expect(differenceInWords(before, after)[0]).toBe('ring formed differently');
  });
});
