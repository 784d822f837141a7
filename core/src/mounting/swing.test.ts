import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { outlineOf, type Part, type Turning } from '../pattern/index.js';
import { sweeps } from './swing.js';

/** A round of 25, 80 long. */
const first: Turning = {
  id: 't',
  startDiameter: dim(25),
  elements: [{ kind: 'cylinder', id: 'e1', length: dim(80) }],
};
const outline = outlineOf(first);

describe('what sweeps off the axis', () => {
  const axis = { shift: dim(12), direction: 0, tilt: 0 };
  const part = {
    id: 'p',
    name: 'Body',
    perItem: 1,
    materialId: 'ash',
    holes: [],
    turnings: [first, { ...first, id: 't2', axis }],
  } as Part;

  it('is twice the shift and the corners of the blank', () => {
    const [sweep] = sweeps(part, outline, 20);
    expect(sweep?.diameter).toBeCloseTo(2 * (12 + 20), 9);
    const tilted = {
      ...part,
      turnings: [part.turnings[0], { ...part.turnings[1]!, axis: { ...axis, tilt: 5 } }],
    } as Part;
    // the far corner: its middle |12·cos 5° + 80·sin 5°| away, and 20·cos 5° beyond that
    const five = (5 * Math.PI) / 180;
    expect(sweeps(tilted, outline, 20)[0]?.diameter).toBeCloseTo(
      2 * (12 * Math.cos(five) + 80 * Math.sin(five) + 20 * Math.cos(five)),
      9,
    );
  });

  it('of a handle about an axis across its middle is its half length, corner to corner', () => {
    const across = { shift: dim(0), direction: 0, tilt: 90, along: dim(40) };
    const scoop = {
      ...part,
      turnings: [part.turnings[0], { ...part.turnings[1]!, axis: across }],
    } as Part;
    expect(sweeps(scoop, outline, 20)[0]?.diameter).toBeCloseTo(2 * Math.hypot(40, 20), 9);
  });

  it('of a ball off any axis is its radius beyond the distance of its middle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (shift, tilt, along) => {
          const ball: Turning = {
            id: 't',
            startDiameter: dim(0),
            elements: [{ kind: 'sphere', id: 's', diameter: dim(60), endDiameter: dim(0) }],
          };
          const further = {
            ...ball,
            id: 't2',
            axis: { shift: dim(shift), direction: 0, tilt, along: dim(along) },
          };
          const turnings = [ball, further];
          const t = (tilt * Math.PI) / 180;
          const [sweep] = sweeps({ ...part, turnings } as Part, outlineOf(ball), 0);
          const middle = Math.abs(shift * Math.cos(t) + (30 - along) * Math.sin(t));
          return Math.abs(sweep!.diameter / 2 - (middle + 30)) < 1e-6;
        },
      ),
    );
  });
});
