import fc from 'fast-check';
import { packSector, type CrossSection, type Point, type Sector } from './section.js';
import { packSquares } from './squares.js';

const log = fc.record({
  radius: fc.double({ min: 60, max: 160, noNaN: true }),
  pith: fc.record({ x: fc.double({ min: -25, max: 25, noNaN: true }), y: fc.constant(0) }),
  clearance: fc.double({ min: 0, max: 20, noNaN: true }),
});
const sectorOf = (from: number, parts: number): Sector => ({
  from,
  to: from + 360 / parts,
  fromOffset: 0,
  toOffset: 0,
});
const PARTS = [2, 3, 4, 6, 8] as const;

/** How far a point lies inside the sector, the bark and off the pith, by its plain definition. */
function inside(p: Point, { radius, pith, clearance }: CrossSection, { from, to }: Sector): number {
  const [a, b] = [(from * Math.PI) / 180, (to * Math.PI) / 180];
  const q = { x: p.x - pith.x, y: p.y - pith.y };
  return Math.min(
    radius - Math.hypot(p.x, p.y),
    Math.cos(a) * q.y - Math.sin(a) * q.x,
    Math.sin(b) * q.x - Math.cos(b) * q.y,
    Math.hypot(q.x, q.y) - clearance,
  );
}

/** A plain lattice that a person would draw: closely packed rows along the first split, the first touching it. */
function plainLattice(section: CrossSection, sector: Sector, r: number): number {
  const a = (sector.from * Math.PI) / 180;
  let count = 0;
  for (let row = 0; row < 40; row++)
    for (let n = -40; n < 40; n++) {
      const along = 2 * r * n + (row % 2) * r;
      const up = r + row * r * Math.sqrt(3);
      const p = {
        x: section.pith.x + along * Math.cos(a) - up * Math.sin(a),
        y: section.pith.y + along * Math.sin(a) + up * Math.cos(a),
      };
      if (inside(p, section, sector) >= r - 1e-9) count++;
    }
  return count;
}

it('round billets are never fewer than a plain lattice drawn along the split gives', () =>
  fc.assert(
    fc.property(
      log,
      fc.double({ min: 10, max: 30, noNaN: true }),
      fc.constantFrom(...PARTS),
      fc.integer({ min: 0, max: 359 }),
      (section, r, parts, from) => {
        const sector = sectorOf(from, parts);
        expect(packSector(section, sector, r).length).toBeGreaterThanOrEqual(
          plainLattice(section, sector, r),
        );
      },
    ),
    { numRuns: 120 },
  ));

describe('square billets', () => {
  it('lie in the wood with all four corners, off the pith, and never over each other', () =>
    fc.assert(
      fc.property(
        log,
        fc.double({ min: 15, max: 60, noNaN: true }),
        fc.constantFrom(...PARTS),
        fc.integer({ min: 0, max: 359 }),
        (section, side, parts, from) => {
          const sector = sectorOf(from, parts);
          const laid = packSquares(section, sector, side);
          for (const { x, y, turned } of laid) {
            const a = (turned * Math.PI) / 180;
            for (const [u, v] of [
              [1, 1],
              [1, -1],
              [-1, 1],
              [-1, -1],
            ] as const) {
              const [du, dv] = [(u * side) / 2, (v * side) / 2];
              const corner = {
                x: x + du * Math.cos(a) - dv * Math.sin(a),
                y: y + du * Math.sin(a) + dv * Math.cos(a),
              };
              expect(inside(corner, { ...section, clearance: 0 }, sector)).toBeGreaterThanOrEqual(-1e-6);
            }
            // the nearest of the square to the pith
            const q = { x: section.pith.x - x, y: section.pith.y - y };
            const [p0, p1] = [q.x * Math.cos(a) + q.y * Math.sin(a), q.y * Math.cos(a) - q.x * Math.sin(a)];
            const off = Math.hypot(
              Math.max(0, Math.abs(p0) - side / 2),
              Math.max(0, Math.abs(p1) - side / 2),
            );
            expect(off).toBeGreaterThanOrEqual(section.clearance - 1e-6);
          }
          for (const [i, b] of laid.entries())
            for (const c of laid.slice(i + 1)) {
              const a = (b.turned * Math.PI) / 180;
              const [dx, dy] = [c.x - b.x, c.y - b.y];
              const apart = Math.max(
                Math.abs(dx * Math.cos(a) + dy * Math.sin(a)),
                Math.abs(dy * Math.cos(a) - dx * Math.sin(a)),
              );
              expect(apart).toBeGreaterThanOrEqual(side - 1e-6);
            }
        },
      ),
      { numRuns: 80 },
    ));

  it('of a half log are those that a saw takes: by hand', () => {
    const section = { radius: 100, pith: { x: 0, y: 0 }, clearance: 0 };
    // rows of 50 from the split: at 50 up the chord is 173.2 long, 3 fit; the corner at 100 up has none
    expect(packSquares(section, sectorOf(0, 2), 50)).toHaveLength(3);
    // of 40: chords at 40 and 80 up are 183.3 and 120 long, 4 and 3
    expect(packSquares(section, sectorOf(0, 2), 40)).toHaveLength(7);
    expect(packSquares(section, sectorOf(0, 2), 120)).toHaveLength(0);
  });
});
