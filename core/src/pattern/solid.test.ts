import { dim } from '../measure/index.js';
import { chain, drilledSolid, solidOf, type Element, type Hole, type Segment } from './index.js';
import { clippedCircle } from './solid.js';

const one = (segment: Omit<Segment, 'elementId'>) => solidOf({ segments: [{ elementId: 'e', ...segment }] });
const relative = (value: number, wanted: number) => Math.abs(value / wanted - 1);
const { PI } = Math;

describe('mass properties against closed forms', () => {
  it('sphere: I = 2/5 m R² about every axis', () => {
    const R = 17;
    const ball = one({ x0: 0, r0: 0, x1: 2 * R, r1: 0, bulge: 1 });
    const m = (4 / 3) * PI * R ** 3;
    expect(relative(ball.volume, m)).toBeLessThan(1e-9);
    expect(relative(ball.surface, 4 * PI * R * R)).toBeLessThan(1e-9);
    expect(relative(ball.axialInertia, 0.4 * m * R * R)).toBeLessThan(1e-9);
    expect(relative(ball.transverseInertia, 0.4 * m * R * R)).toBeLessThan(1e-9);
  });

  it('cone: 3/10 m r² about its axis, 3/20 m r² + 3/80 m h² across at its centre', () => {
    const [r, h] = [12, 45];
    const cone = one({ x0: 100, r0: r, x1: 100 + h, r1: 0, bulge: 0 });
    const m = (PI * r * r * h) / 3;
    expect(relative(cone.volume, m)).toBeLessThan(1e-9);
    expect(relative(cone.centreOfGravity, 100 + h / 4)).toBeLessThan(1e-9);
    expect(relative(cone.axialInertia, 0.3 * m * r * r)).toBeLessThan(1e-9);
    expect(relative(cone.transverseInertia, m * (0.15 * r * r + 0.0375 * h * h))).toBeLessThan(1e-9);
  });

  it('torus bead: a half round of radius a on a shaft of radius R', () => {
    const [a, R] = [4, 15];
    const bead = one({ x0: 0, r0: R, x1: 2 * a, r1: R, bulge: 1 });
    // Pappus with the half disc's centroid 4a/3π above its flat, on the shaft below it
    const halfDisc = ((PI * a * a) / 2) * 2 * PI * (R + (4 * a) / (3 * PI));
    expect(relative(bead.volume, halfDisc + PI * R * R * 2 * a)).toBeLessThan(1e-9);
    // ½π∫r⁴dx with r = R + y: ∫y = πa²/2, ∫y² = 4a³/3, ∫y³ = 3πa⁴/8, ∫y⁴ = 16a⁵/15
    const fourth =
      R ** 4 * 2 * a +
      4 * R ** 3 * ((PI * a * a) / 2) +
      6 * R * R * ((4 * a ** 3) / 3) +
      4 * R * ((3 * PI * a ** 4) / 8) +
      (16 * a ** 5) / 15;
    expect(relative(bead.axialInertia, (PI / 2) * fourth)).toBeLessThan(1e-9);
  });

  it('a drilled cylinder is the tube it leaves', () => {
    const tube = chain([{ kind: 'cylinder', id: 'c', length: dim(50) }], 30);
    const bore: Hole = {
      id: 'h',
      name: 'bore',
      from: 'far',
      through: true,
      pointAngle: 118,
      steps: [{ diameter: dim(10), depth: dim(0) }],
    };
    const solid = drilledSolid(tube, [bore]);
    const m = PI * (225 - 25) * 50;
    expect(relative(solid.volume, m)).toBeLessThan(1e-12);
    expect(relative(solid.axialInertia, (m * (225 + 25)) / 2)).toBeLessThan(1e-12);
    expect(relative(solid.transverseInertia, m * ((225 + 25) / 4 + 2500 / 12))).toBeLessThan(1e-12);
    expect(solid.centreOfGravity).toBeCloseTo(25, 12);
  });

  it('a square prism has a²·l and a⁴/6 about its axis', () => {
    const element: Element = {
      kind: 'square',
      id: 'q',
      length: dim(70),
      across: dim(30),
      endDiameter: dim(30),
      shoulder: 'square',
    };
    const prism = solidOf(chain([element], 30));
    expect(relative(prism.volume, 900 * 70)).toBeLessThan(1e-9);
    expect(relative(prism.axialInertia, (30 ** 4 / 6) * 70)).toBeLessThan(1e-9);
  });

  it('a circle clipped by its inscribed square is that square, by one round it the circle', () => {
    expect(clippedCircle(10 * Math.SQRT2, 10).area).toBeCloseTo(400, 9);
    expect(clippedCircle(10, 10).area).toBeCloseTo(PI * 100, 9);
    expect(clippedCircle(10 * Math.SQRT2, 10).polar).toBeCloseTo(20 ** 4 / 6, 6);
  });
});
