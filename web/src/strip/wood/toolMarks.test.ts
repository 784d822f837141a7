import fc from 'fast-check';
import type { Place } from './rings.js';
import { toolMarks } from './toolMarks.js';

const places: Place[] = Array.from({ length: 61 }, (_, x) => ({ x, r: 20 - x / 6 }));
const radiusAt = (x: number) => 20 - x / 6;

describe('the marks of a tool', () => {
  it('are those of a saw and of a roughing gouge; what is cut clean, sanded or coated has none', () => {
    const count = (surface: Parameters<typeof toolMarks>[1]) =>
      toolMarks(places, surface, { scale: 5, seed: 'body 1' }).length;
    expect((['cut', 'sanded', 'coated'] as const).map(count)).toEqual([0, 0, 0]);
    expect(count('sawn')).toBeGreaterThan(15);
    expect(count('roughed')).toBeGreaterThan(25);
  });

  it('tell a saw from a gouge: its lines lean and break off, a gouge goes round', () => {
    const of = (surface: 'sawn' | 'roughed') => toolMarks(places, surface, { scale: 5, seed: 'body 1' });
    for (const [[x0, y0] = [0, 0], [x1, y1] = [0, 0]] of of('roughed')) {
      expect([x1, y0]).toEqual([x0, 0]);
      expect(y1).toBeCloseTo(radiusAt(x0), 0);
    }
    expect(of('sawn').every(([[x0] = [0], [x1] = [0]]) => x1 > x0)).toBe(true);
    const lengths = of('sawn').map(([[, y0] = [0, 0], [x1, y1] = [0, 0]]) => (y1 - y0) / radiusAt(x1));
    expect(Math.min(...lengths)).toBeLessThan(0.7);
  });

  it('stay on the wood, and never so close that they run together', () =>
    fc.assert(
      fc.property(
        fc.string(),
        fc.double({ min: 0.3, max: 12, noNaN: true }),
        fc.constantFrom('sawn', 'roughed'),
        (seed, scale, surface) => {
          const marks = toolMarks(places, surface, { scale, seed });
          for (const [x, y] of marks.flat()) {
            expect(x).toBeGreaterThanOrEqual(0);
            expect(x).toBeLessThanOrEqual(60);
            expect(y).toBeGreaterThanOrEqual(0);
            expect(y).toBeLessThanOrEqual(20);
          }
          expect(marks.length * 0.7 * 4.5).toBeLessThanOrEqual(60 * scale + 4.5);
        },
      ),
    ));

  it('are the same for the same piece', () =>
    expect(toolMarks(places, 'sawn', { scale: 4, seed: 'a' })).toEqual(
      toolMarks(places, 'sawn', { scale: 4, seed: 'a' }),
    ));
});
