import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { boreAt, chain, radiusAt, weakPlaces, type CrossHole, type Element, type Hole } from './index.js';

const bored = (diameter: number, depth: number, from: Hole['from'] = 'far'): Hole => ({
  id: 'h',
  name: 'bore',
  from,
  through: false,
  pointAngle: 180,
  steps: [{ diameter: dim(diameter), depth: dim(depth) }],
});
const cross = (at: number, diameter: number): CrossHole => ({
  id: 'c',
  name: 'cord',
  from: 'reference',
  at: dim(at),
  angle: 0,
  diameter: dim(diameter),
  through: true,
});
const shaft = (id: string, length: number): Element => ({ kind: 'cylinder', id, length: dim(length) });
const cove = (bottom: number): Element => ({ kind: 'cove', id: 'b', length: dim(20), bottom: dim(bottom) });
const round = (diameter: number) => (Math.PI / 64) * diameter ** 4;

describe('weak places', () => {
  const waisted = chain([shaft('a', 40), cove(16), shaft('c', 40)], 24);

  it('are one, until a bore parts the least stiff from the thinnest', () => {
    const { narrowest, leastStiff } = weakPlaces(waisted, [])!;
    expect(narrowest.x).toBeCloseTo(50, 6);
    expect(narrowest.diameter).toBeCloseTo(16, 9);
    expect(leastStiff.x).toBeCloseTo(50, 2);
    expect(leastStiff.secondMoment).toBeCloseTo(round(16), 3);
    const parted = weakPlaces(waisted, [bored(23, 30)])!;
    expect(parted.narrowest).toEqual(narrowest);
    expect(parted.leastStiff.x).toBeGreaterThanOrEqual(70);
    expect(parted.leastStiff.secondMoment).toBeCloseTo(round(24) - round(23), 6);
  });

  it('are found close to an end, where a waist is', () => {
    const near = weakPlaces(chain([shaft('a', 2), cove(9), shaft('c', 300)], 24), [])!;
    expect(near.narrowest).toMatchObject({ x: expect.closeTo(12, 6), diameter: expect.closeTo(9, 9) });
    expect(near.leastStiff.x).toBeCloseTo(12, 2);
  });

  it('count a cross hole: a slot 8 wide in a round of 20 leaves 2,937 of 7,854 mm⁴', () => {
    // by hand: 1/6 [4 (500 − 32) √84 + 3·10⁴ asin 0.4] = 1/6 [17,157.2 + 12,345.5] = 4,917.1 is taken
    const { leastStiff } = weakPlaces(chain([shaft('a', 100)], 20), [], [cross(30, 8)])!;
    expect(leastStiff.x).toBeCloseTo(30, 6);
    expect(leastStiff.secondMoment).toBeCloseTo(7853.98 - 4917.12, 0);
  });

  it('of what thins out to a point are not its point', () => {
    const top = chain([{ kind: 'taper', id: 't', length: dim(30), endDiameter: dim(40) }, shaft('a', 20)], 0);
    const { narrowest, leastStiff } = weakPlaces(top, [])!;
    expect(narrowest.diameter).toBe(40);
    expect(leastStiff.secondMoment).toBeCloseTo(round(40), 6);
  });

  it('are nowhere less stiff or thinner between the ends, looked at in a thousand places', () => {
    const size = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
    fc.assert(
      fc.property(
        size(3, 20),
        size(12, 40),
        size(2, 11),
        size(5, 60),
        size(0.5, 5),
        (bottom, to, drill, deep, eye) => {
          const outline = chain(
            [
              shaft('a', 20),
              cove(bottom),
              { kind: 'taper', id: 't', length: dim(50), endDiameter: dim(to) },
              shaft('z', 15),
            ],
            24,
          );
          const [holes, crosses] = [[bored(Math.min(drill, to - 1), deep)], [cross(60, Math.min(eye, 10))]];
          const weak = weakPlaces(outline, holes, crosses)!;
          for (let i = 1; i < 1000; i++) {
            const x = (outline.length * i) / 1000;
            const r = radiusAt(outline, x);
            const b = Math.min(r, boreAt(holes, outline, x));
            expect(2 * r).toBeGreaterThanOrEqual(weak.narrowest.diameter - 1e-9);
            if (Math.abs(x - 60) > 5) {
              const ring = (Math.PI / 4) * (r ** 4 - b ** 4);
              expect(ring).toBeGreaterThanOrEqual(weak.leastStiff.secondMoment * (1 - 1e-6) - 1e-6);
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
