import { threadOf } from './index.js';

describe('threads', () => {
  // basic sizes as the standards tabulate them
  it.each([
    ['M8', 8, 1.25, 7.188, 6.647, 6.466],
    ['M6', 6, 1, 5.35, 4.917, 4.773],
    ['m10 x 1', 10, 1, 9.35, 8.917, 8.773],
    ['1/4-20', 6.35, 1.27, 5.525, 4.976, 4.792],
    ['#8-32 UNC', 4.1656, 0.79375, 3.65, 3.307, 3.192],
    ['5/16 unc', 7.9375, 1.4111, 7.021, 6.41, 6.206],
  ])('%s has the sizes of its basic profile', (name, outside, pitch, middle, bore, root) => {
    const thread = threadOf(name)!;
    expect(thread.outside).toBeCloseTo(outside, 3);
    expect(thread.pitch).toBeCloseTo(pitch, 3);
    expect(thread.pitchDiameter).toBeCloseTo(middle, 2);
    expect(thread.tapHole).toBeCloseTo(bore, 2);
    expect(thread.root).toBeCloseTo(root, 2);
  });

  it.each(['stud 8', 'M7', 'M', '3/8-0', '', 'M2 × 4'])('%s is none', (name) =>
    expect(threadOf(name)).toBeNull(),
  );
});
