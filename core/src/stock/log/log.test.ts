import fc from 'fast-check';
import { dim } from '../../measure/index.js';
import { newWorkshop, sawingOf } from '../../workshop/index.js';
import { logPlan, mostBillets, type BilletWish, type Log } from '../index.js';
import { packSector } from './section.js';

const sawing = { ...sawingOf(newWorkshop('UTC', 'mm')), endTrim: 20, crossKerf: 2.5, splitDrift: 15 };
const log = (change: Partial<Log> = {}): Log => ({
  id: 'l',
  kind: 'log',
  label: 'Birch from the lane',
  place: '',
  price: null,
  reorderAt: null,
  materialId: 'birch',
  moisture: 70,
  origin: '',
  offcut: false,
  buttDiameter: dim(240),
  topDiameter: dim(220),
  length: dim(1000),
  pith: { x: 0, y: 0 },
  sapwood: dim(0),
  felled: null,
  ...change,
});
const wish: BilletWish = {
  form: 'round',
  diameter: 60,
  hewing: 0,
  length: 300,
  pithClearance: 10,
  heartOnly: false,
};

describe('a sector', () => {
  const section = { radius: 100, pith: { x: 0, y: 0 }, clearance: 0 };
  const quarter = { from: 0, to: 90, fromOffset: 0, toOffset: 0 };

  it('of a quarter holds one billet up to R ÷ (1 + √2)', () => {
    const most = 100 / (1 + Math.SQRT2); // tangent to both splits and the bark
    expect(packSector(section, quarter, most - 0.01)).toHaveLength(1);
    expect(packSector(section, quarter, most + 0.01)).toHaveLength(0);
  });

  it('never lets billets overlap, leave the log, cross a split or come near the pith', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 9, max: 45, noNaN: true }),
        fc.integer({ min: 2, max: 8 }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        (radius, sectors, pithX, clearance) => {
          const off = { ...section, pith: { x: pithX, y: 0 }, clearance };
          const to = 360 / sectors;
          const billets = packSector(off, { from: 0, to, fromOffset: 0, toOffset: 0 }, radius);
          billets.forEach((p, i) => {
            expect(Math.hypot(p.x, p.y)).toBeLessThanOrEqual(100 - radius + 1e-6);
            expect(Math.hypot(p.x - pithX, p.y)).toBeGreaterThanOrEqual(clearance + radius - 1e-6);
            expect(p.y).toBeGreaterThanOrEqual(radius - 1e-6);
            const a = (to * Math.PI) / 180;
            expect(Math.sin(a) * (p.x - pithX) - Math.cos(a) * p.y).toBeGreaterThanOrEqual(radius - 1e-6);
            for (const q of billets.slice(i + 1))
              expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeGreaterThanOrEqual(2 * radius - 1e-6);
          });
        },
      ),
    );
  });
});

describe('log', () => {
  it('is cut to lengths between its trimmed ends, each with the diameter of its thin end', () => {
    const { bolts } = logPlan(log(), wish, sawing);
    // 1000 − 40 = 960 ≥ 3 × 300 + 2 × 2.5
    expect(bolts.map((b) => b.from)).toEqual([20, 322.5, 625]);
    expect(bolts[0]?.diameter).toBeCloseTo(240 - 20 * 0.32, 9);
    expect(bolts[2]?.diameter).toBeCloseTo(240 - 20 * 0.925, 9);
  });

  it('compares ways, the best first, and says what drifting splits cost', () => {
    const { ways, findings } = logPlan(log(), wish, sawing);
    expect(findings).toEqual([]);
    expect(ways.map((w) => w.sectors).sort((a, b) => a - b)).toEqual([2, 3, 4, 6, 8, 12]);
    for (const way of ways) {
      expect(way.total).toBe(way.perBolt.reduce((a, b) => a + b, 0));
      expect(way.total).toBeLessThanOrEqual(ways[0]?.total ?? 0);
      expect(way.drifted).toBeLessThanOrEqual(way.total + 3);
    }
    // six sectors of 60°: one billet of r touches both splits at 2 r from the pith, and 3 r ≤ R
    const six = ways.find((w) => w.sectors === 6);
    expect(six?.perBolt.every((n) => n >= 6)).toBe(true);
    const tight = logPlan(log(), { ...wish, diameter: (2 * 110) / 3 - 0.5, pithClearance: 0 }, sawing);
    expect(tight.ways.find((w) => w.sectors === 6)?.drifted).toBeLessThan(
      tight.ways.find((w) => w.sectors === 6)?.total ?? 0,
    );
  });

  it('leaves room for hewing: billets touch neither each other nor the bark', () => {
    const hewn = { ...wish, diameter: 40, hewing: 4 };
    const { ways, bolts } = logPlan(log(), hewn, sawing);
    const radius = (bolts.at(-1)?.diameter ?? 0) / 2;
    for (const { billets } of ways) {
      const all = billets.flat();
      for (const [i, p] of all.entries()) {
        expect(radius - Math.hypot(p.x, p.y) - 20).toBeGreaterThanOrEqual(4 - 1e-6);
        for (const q of all.slice(i + 1))
          expect(Math.hypot(p.x - q.x, p.y - q.y) - 40).toBeGreaterThanOrEqual(8 - 1e-6);
      }
    }
    // as many as of billets that are so much thicker
    expect(ways[0]?.total).toBe(logPlan(log(), { ...wish, diameter: 48 }, sawing).ways[0]?.total);
    expect(logPlan(log(), { ...wish, diameter: 100, hewing: 8 }, sawing).findings[0]?.what).toContain(
      '⟦8⟧ all round for hewing',
    );
  });

  it('gives square billets in rows, and says how they come out of it', () => {
    const square = logPlan(log(), { ...wish, form: 'square', diameter: 40 }, sawing);
    expect(square.ways[0]?.splits.at(-1)).toContain('into slabs');
    expect(square.ways[0]?.total).toBeLessThan(
      logPlan(log(), { ...wish, diameter: 40 }, sawing).ways[0]?.total ?? 0,
    );
    expect(square.ways[0]?.billets.flat().every((b) => b.turned !== undefined)).toBe(true);
  });

  it('keeps off the sapwood when only heart is wanted', () => {
    const all = logPlan(log({ sapwood: dim(25) }), wish, sawing).ways[0]?.total ?? 0;
    const heart =
      logPlan(log({ sapwood: dim(25) }), { ...wish, heartOnly: true }, sawing).ways[0]?.total ?? 0;
    expect(heart).toBeLessThan(all);
    expect(heart).toBeGreaterThan(0);
  });

  it('says what cannot be, and what would do', () => {
    expect(logPlan(log({ pith: { x: 130, y: 0 } }), wish, sawing).findings[0]?.why).toBe(
      'It would lie outside the log.',
    );
    expect(logPlan(log(), { ...wish, length: 990 }, sawing).findings[0]?.what).toContain('gives ⟦960⟧');
    expect(logPlan(log(), { ...wish, diameter: 150 }, sawing).findings[0]?.remedy).toContain('thicker log');
  });
});

describe('the most that a log has room for', () => {
  it('is by the wood alone: areas of the lengths over that of a billet', () => {
    // one length of 300 out of 400, 240 at the butt and 220 at the top: 224 at its thin end, 300 + 20 from the butt
    const short = log({ length: dim(400) });
    const thin = 240 - (20 * 320) / 400;
    expect(mostBillets(short, wish, sawing)).toBe(Math.floor((thin / 60) ** 2));
  });

  it('is never less than what is laid out, round or square', () => {
    fc.assert(
      fc.property(
        fc.record({
          form: fc.constantFrom('round' as const, 'square' as const),
          butt: fc.integer({ min: 130, max: 300 }),
          taper: fc.double({ min: 0.8, max: 1, noNaN: true }),
          billet: fc.integer({ min: 30, max: 70 }),
        }),
        ({ form, butt, taper, billet }) => {
          const one = log({ buttDiameter: dim(butt), topDiameter: dim(butt * taper) });
          const small = { ...wish, form, diameter: billet };
          const { ways } = logPlan(one, small, sawing);
          expect(mostBillets(one, small, sawing)).toBeGreaterThanOrEqual(
            Math.max(0, ...ways.map((w) => w.total)),
          );
        },
      ),
      { numRuns: 20 },
    );
  });
});
