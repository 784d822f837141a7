import { ballByFacets, facetWidth, firstFacet, firstMark, SECOND_FACET, secondMark } from './index.js';

describe('a ball by facets', () => {
  it('has its 45° cuts at 0.2929 of the diameter, where they touch', () => {
    expect(firstFacet(100)).toBeCloseTo(29.289, 3);
    expect(firstMark(100, firstFacet(100) / 100).leaves).toBeCloseTo(0, 9);
    expect(secondMark(100, SECOND_FACET).leaves).toBeCloseTo(0, 9);
    expect(facetWidth(100)).toBeCloseTo(41.421, 3);
  });

  it('comes closer with each stage: 20.7, 4.12 and 0.98 off on a ball of 100', () => {
    const left = ballByFacets(100).map((s) => s.left);
    expect(left[0]).toBeCloseTo(20.711, 3);
    expect(left[1]).toBeCloseTo(4.12, 2);
    expect(left[2]).toBeCloseTo(0.9796, 4);
  });
});

describe('marks by shares', () => {
  it('a third cuts into the ball, a quarter leaves a little', () => {
    expect(firstMark(60, 1 / 3).leaves).toBeCloseTo(60 * (0.4714 - 0.5), 2);
    expect(firstMark(60, 1 / 4).leaves).toBeCloseTo(60 * 0.03033, 2);
    expect(firstMark(60, 1 / 2).leaves).toBeLessThan(-8);
  });

  it('of the facet a quarter is safe, a third is not', () => {
    expect(secondMark(60, 1 / 4).leaves).toBeGreaterThan(0);
    expect(secondMark(60, 1 / 3).leaves).toBeLessThan(0);
  });
});
