import fc from 'fast-check';
import loadHighs from 'highs';
import { equilibriumMoisture, materialById, type Material } from '../../material/index.js';
import {
  airFigure,
  cleanCylinder,
  dayAfter,
  dryingFigures,
  dryingFindings,
  dryingVerdict,
  greenDiameter,
  moistureOn,
  ovalFrom,
  ovalOf,
  schoolDays,
  solverOf,
  weighingProblems,
  type DryingForecast,
} from '../index.js';
import { dryingForecast, type Weighing } from './dryingCurve.js';
import { type SolveLinear } from '../linear.js';

let solve: SolveLinear;
beforeAll(async () => {
  solve = solverOf(await loadHighs.default());
});
const maple = materialById('maple') as Material;
const air = { temperature: 20, humidity: 55 };
const emc = equilibriumMoisture(20, 55);

describe('ovals', () => {
  it('come from two shrinkages, and oversize undoes the larger one', () => {
    // maple 4.8 and 9.9 %, from 30 to 12 %: 18/30 of it
    const oval = ovalOf(100, maple, 60, 12);
    expect(oval?.largest).toBeCloseTo(100 - 4.8 * 0.6, 9);
    expect(oval?.smallest).toBeCloseTo(100 - 9.9 * 0.6, 9);
    expect(greenDiameter(40, maple, 60, 12)).toBeCloseTo(40 / 0.9406, 9);
    expect(ovalOf(100, materialById('hazel') as Material, 60, 12)).toBeNull();
  });

  it('are found again from readings across, wherever they are taken', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 60, noNaN: true }),
        fc.double({ min: 0.8, max: 0.98, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (largest, ratio, turned) => {
          const readings = [0, 50, 95, 140].map((angle) => {
            const a = ((angle - turned) * Math.PI) / 180;
            return { angle, width: largest * Math.hypot(Math.cos(a), ratio * Math.sin(a)) };
          });
          const oval = ovalFrom(readings);
          expect(oval?.largest).toBeCloseTo(largest, 6);
          expect(oval?.smallest).toBeCloseTo(largest * ratio, 6);
          expect(oval?.off).toBeLessThan(1e-6);
        },
      ),
    );
    expect(
      ovalFrom([
        { angle: 0, width: 30 },
        { angle: 180, width: 30 },
        { angle: 90, width: 28 },
      ]),
    ).toBeNull();
  });
});

describe('clean cylinder', () => {
  const ring = (reach: (angle: number) => number) =>
    [0, 45, 90, 135, 180, 225, 270, 315].map((angle) => ({ angle, reach: reach(angle) }));
  /** Reach of a circle of radius r whose middle lies (x, y) off the axis. */
  const circle = (r: number, x: number, y: number) => (angle: number) => {
    const a = (angle * Math.PI) / 180;
    const along = x * Math.cos(a) + y * Math.sin(a);
    return along + Math.sqrt(along * along + r * r - x * x - y * y);
  };

  it('of an oval is its smallest diameter', () => {
    const oval = ring((angle) => {
      const a = (angle * Math.PI) / 180;
      return 1 / Math.sqrt((Math.cos(a) / 25) ** 2 + (Math.sin(a) / 22) ** 2);
    });
    const found = cleanCylinder(
      [
        { x: 0, readings: oval },
        { x: 100, readings: oval },
      ],
      solve,
    );
    expect(found?.diameter).toBeGreaterThan(43.9);
    expect(found?.diameter).toBeLessThanOrEqual(44.05);
  });

  it('of a bent round runs where the bend allows: its centres move off the trial axis', () => {
    // round of 20, middle of it bent 4 to one side: the best axis lies 2 off at both ends
    const stations = [0, 50, 100].map((x) => ({ x, readings: ring(circle(20, x === 50 ? 4 : 0, 0)) }));
    const found = cleanCylinder(stations, solve);
    expect(found?.diameter).toBeGreaterThan(35.7);
    expect(found?.diameter).toBeLessThan(36.3);
    expect(found?.drive.x).toBeCloseTo(2, 0);
    expect(found?.tail.x).toBeCloseTo(2, 0);
  });

  it('leans with a leaning piece', () => {
    const found = cleanCylinder(
      [0, 100].map((x) => ({ x, readings: ring(circle(15, x === 0 ? -3 : 3, 1)) })),
      solve,
    );
    expect(found?.drive.x).toBeCloseTo(-3, 0);
    expect(found?.tail.x).toBeCloseTo(3, 0);
    expect(found?.diameter).toBeGreaterThan(29.6);
    expect(found?.diameter).toBeLessThan(30.1);
  });
});

/** Weights of a bundle that dries by the law, rounded to grams. */
const weighed = (
  dry: number,
  start: number,
  tau: number,
  days: readonly number[],
  exact = false,
): Weighing[] =>
  days.map((d) => {
    const moisture = emc + (start - emc) * Math.exp(-d / tau);
    const grams = dry * (1 + moisture / 100);
    return { day: dayAfter('2026-03-01', d), grams: exact ? grams : Math.round(grams) };
  });

const forecast = (weighings: Weighing[], startMoisture: number | null, target = 12): DryingForecast => {
  const read = dryingForecast({ weighings, startMoisture, air, target });
  if (!read.ok) throw new Error(read.why);
  return read.forecast;
};

describe('drying curve', () => {
  it('is found again from exact weights, with the moisture known or not', () => {
    const days = [0, 5, 11, 20, 33, 50];
    for (const known of [45, null]) {
      const f = forecast(weighed(2000, 45, 18, days, true), known);
      expect(f.timeConstant).toBeCloseTo(18, 2);
      expect(f.dryWeight).toBeCloseTo(2000, 0);
      expect(f.ready?.days).toBeCloseTo(-18 * Math.log((12 - emc) / (45 - emc)), 1);
      expect(moistureOn(f, 0)).toBeCloseTo(45, 1);
    }
  });

  it('gives a range that holds the true day and narrows with weighings', () => {
    const truth = -18 * Math.log((12 - emc) / (45 - emc));
    const early = forecast(weighed(2000, 45, 18, [0, 3, 6]), 45).ready;
    const late = forecast(weighed(2000, 45, 18, [0, 3, 6, 12, 20, 30]), 45).ready;
    for (const ready of [early, late]) {
      expect(ready?.earliest).toBeLessThanOrEqual(truth);
      expect(ready?.latest ?? Infinity).toBeGreaterThanOrEqual(truth);
    }
    const width = (r: typeof early) => (r?.latest ?? 1e9) - (r?.earliest ?? 0);
    expect(width(late)).toBeLessThan(width(early));
  });

  it('never promises what the air does not give', () => {
    const f = forecast(weighed(2000, 45, 18, [0, 5, 11, 20]), 45, emc - 1);
    expect(f.ready).toBeNull();
    expect(dryingFindings('b', 'Birch', f, 20, emc - 1)[0]?.severity).toBe('stop');
  });

  it('says how many weighings it needs, and when nothing dries', () => {
    const one = dryingForecast({ weighings: weighed(2000, 45, 18, [0]), startMoisture: 45, air, target: 12 });
    expect(one).toMatchObject({
      ok: false,
      why: 'Two weighings make a curve. Weigh it again in a few days.',
    });
    const three = dryingForecast({
      weighings: weighed(2000, 45, 18, [0, 4, 9]),
      startMoisture: null,
      air,
      target: 12,
    });
    expect(three).toMatchObject({ ok: false });
    const flat = [0, 3, 6, 9].map((d) => ({ day: dayAfter('2026-03-01', d), grams: 1000 }));
    expect(dryingForecast({ weighings: flat, startMoisture: null, air, target: 12 })).toMatchObject({
      ok: false,
    });
  });

  it('refuses weights that go up and days that go back', () => {
    const up = weighingProblems([
      { day: '2026-03-01', grams: 1180 },
      { day: '2026-03-04', grams: 1240 },
    ]);
    expect(up[0]?.why).toContain('1240 g on 2026-03-04 is more than 1180 g on 2026-03-01');
    expect(
      weighingProblems([
        { day: '2026-03-04', grams: 10 },
        { day: '2026-03-01', grams: 9 },
      ])[0]?.field,
    ).toBe('weighings.1.day');
    const odd = [
      { day: '2026-02-28', grams: 10 },
      { day: '2026-02-30', grams: 9 },
    ];
    expect(weighingProblems(odd)[0]?.why).toBe('“2026-02-30” is no day. Give it like 2026-02-14.');
    expect(weighingProblems(weighed(2000, 45, 18, [0, 4, 9]))).toEqual([]);
  });
});

describe('schools of drying', () => {
  it('let one go on at different moistures', () => {
    expect(dryingVerdict('green', 45, 12).verdict).toBe('turn now');
    expect(dryingVerdict('green', 18, 12).verdict).toBe('not yet');
    expect(dryingVerdict('half-dry', 45, 12).verdict).toBe('not yet');
    expect(dryingVerdict('half-dry', 18, 12).verdict).toBe('half dry: detail today');
    expect(dryingVerdict('dry', 18, 12).verdict).toBe('not yet');
    for (const school of ['green', 'half-dry', 'dry'] as const)
      expect(dryingVerdict(school, 11.9, 12).verdict).toBe('turn now');
  });

  it('come in order, and the air is watched while it is wet', () => {
    const f = forecast(weighed(2000, 60, 12, [0, 2, 4, 7]), 60);
    const [green, half, dry] = schoolDays('2026-03-01', f).map((s) => s.day ?? '');
    expect(green).toBe('2026-03-01');
    expect((half ?? '') > (green ?? '') && (dry ?? '') > (half ?? '')).toBe(true);
    const found = dryingFindings('b', 'Birch', f, 0, 12).map((x) => x.id);
    expect(found).toEqual(['stock.drying.ends.b', 'stock.drying.fast.b']);
    expect(dryingFindings('b', 'Birch', f, 60, 12)).toEqual([]);
  });
});

describe('figures of the drying shelf', () => {
  it('are the moisture of the day and what the air leaves', () => {
    const f = forecast(weighed(2000, 45, 18, [0, 5, 11, 20], true), 45);
    const [moisture, pace] = dryingFigures(f, 18);
    // after one time constant 1/e of the difference is left
    expect(moisture?.value).toBeCloseTo(emc + (45 - emc) / Math.E, 1);
    expect((pace?.value ?? 0) / 1440).toBeCloseTo(18, 1);
    expect(airFigure(air).value).toBeCloseTo(emc, 12);
  });
});
