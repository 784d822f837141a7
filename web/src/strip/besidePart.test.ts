import { STARTING_FORMS, type PatternBody } from '@compas/core';
import { besidePart, reachBeside } from './besidePart.js';

const top: PatternBody = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple');

describe('what lies beside a part of an item', () => {
  it('is where it is joined, seen from either part', () => {
    const [onStem] = besidePart(top, 'part1');
    // the body's middle sits 52 from the reference end of the stem, it is 24 long
    expect(onStem).toMatchObject({ from: 40, runs: 1, length: 24 });
    const [inBody] = besidePart(top, 'part2');
    expect(inBody).toMatchObject({ from: -40, runs: 1, length: 72 });
  });

  it('reaches beyond the ends and the outside of the part that is shown', () => {
    expect(reachBeside(besidePart(top, 'part1'), 72)).toEqual({ reference: 0, far: 0, radius: 28 });
    expect(reachBeside(besidePart(top, 'part2'), 24)).toMatchObject({ reference: 40, far: 8, radius: 5 });
  });

  it('is nothing for what nothing joins', () => {
    const apart = { ...top, joins: [] };
    expect(besidePart(apart, 'part2')).toEqual([]);
    expect(besidePart({ ...top, parts: [top.parts[0]] }, 'part1')).toEqual([]);
  });
});
