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
    ['M8-1.25', 8, 1.25, 7.188, 6.647, 6.466],
    ['M8 × 1,25 6g', 8, 1.25, 7.188, 6.647, 6.466],
    ['M33', 33, 3.5, 30.727, 29.211, 28.706],
    ['1-8 UNC', 25.4, 3.175, 23.338, 21.963, 21.504],
    ['1-8', 25.4, 3.175, 23.338, 21.963, 21.504],
    ['1 1/4-8', 31.75, 3.175, 29.688, 28.313, 27.854],
    ['1-1/4" - 8', 31.75, 3.175, 29.688, 28.313, 27.854],
    ['10-32', 4.826, 0.79375, 4.31, 3.967, 3.852],
    ['1/4-28 UNF', 6.35, 0.9071, 5.761, 5.368, 5.237],
    ['1/4 UNF', 6.35, 0.9071, 5.761, 5.368, 5.237],
    ['1 UNF', 25.4, 2.1167, 24.025, 23.109, 22.803],
  ])('%s has the sizes of its basic profile', (name, outside, pitch, middle, bore, root) => {
    const thread = threadOf(name)!;
    expect(thread.outside).toBeCloseTo(outside, 3);
    if (thread.perInch !== null) expect(thread.perInch * thread.pitch).toBeCloseTo(25.4, 9);
    expect(thread.pitch).toBeCloseTo(pitch, 3);
    expect(thread.pitchDiameter).toBeCloseTo(middle, 2);
    expect(thread.tapHole).toBeCloseTo(bore, 2);
    expect(thread.root).toBeCloseTo(root, 2);
  });

  it.each(['stud 8', 'M9', 'M', '3/8-0', '', 'M2 × 4', '10', '12', '50-8', '8 × 10', '1/0-8'])(
    '%s is none',
    (name) => expect(threadOf(name)).toBeNull(),
  );
});
