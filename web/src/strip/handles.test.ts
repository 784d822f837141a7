import { chain, dim } from '@compas/core';
import fc from 'fast-check';
import { fannedOut, handlesOf } from './handles.js';

describe('handles', () => {
  it('stand at ends, crowns and bottoms, but not where a dimension is held', () => {
    const outline = chain(
      [
        { kind: 'cylinder', id: 'a', length: dim(20) },
        { kind: 'bead', id: 'b', length: dim(10), crown: dim(30), held: ['crown'] },
        { kind: 'cove', id: 'c', length: dim(10), bottom: dim(14) },
      ],
      20,
    );
    expect(handlesOf(outline).map((h) => [h.key, h.x, h.across, h.along])).toEqual([
      ['start', 0, 'startDiameter', null],
      ['a.end', 20, null, 'length'],
      ['b.end', 30, null, 'length'],
      ['c.end', 40, null, 'length'],
      ['c.bottom', 35, 'bottom', null],
    ]);
  });

  it('that lie close fan out until a finger meets one alone; those with room stay', () => {
    const spot = fc.record({ x: fc.integer({ min: 0, max: 900 }), y: fc.integer({ min: 0, max: 120 }) });
    fc.assert(
      fc.property(fc.array(spot, { minLength: 2, maxLength: 6 }), (spots) => {
        const moved = fannedOut(spots, 28);
        moved.forEach((a, i) =>
          moved.slice(i + 1).forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(26)),
        );
        spots.forEach((a, i) => {
          const alone = spots.every(
            (b, j) => i === j || Math.hypot(a.x - b.x, a.y - b.y) > 28 * spots.length,
          );
          if (alone) expect(moved[i]).toEqual(a);
        });
      }),
    );
  });
});
