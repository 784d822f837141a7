import { dim } from '../../measure/index.js';
import { chain, fitSample, radiusAt, type Element, type SamplePoint } from '../index.js';

/** Uniform numbers that are the same every time (G. Marsaglia, “Xorshift RNGs”, J. Stat. Softw. 8, 2003). */
function uniformFrom(seed: number): () => number {
  let state = Math.imul(seed, 2654435761) >>> 0 || 1;
  const next = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
  for (let i = 0; i < 20; i++) next();
  return next;
}

/** A made-up shape: what it begins with, its elements, and how often it is tried. */
interface Shape {
  name: string;
  start: number;
  elements: Element[];
  places: number;
}

const length = (mm: number) => ({ length: dim(mm) });
const ends = (mm: number) => ({ endDiameter: dim(mm) });

const shapes: Shape[] = [
  {
    name: 'a plain cylinder',
    start: 30,
    places: 500,
    elements: [{ kind: 'cylinder', id: 'a', ...length(120) }],
  },
  {
    name: 'a short cylinder',
    start: 30,
    places: 300,
    elements: [{ kind: 'cylinder', id: 'a', ...length(15) }],
  },
  {
    name: 'a taper',
    start: 30,
    places: 500,
    elements: [{ kind: 'taper', id: 'a', ...length(120), ...ends(24) }],
  },
  {
    name: 'a barrel',
    start: 40,
    places: 500,
    elements: [{ kind: 'bead', id: 'a', ...length(300), crown: dim(50) }],
  },
  {
    name: 'a barrel whose ends differ',
    start: 40,
    places: 500,
    elements: [{ kind: 'arc', id: 'a', ...length(250), ...ends(34), radius: dim(900), side: 'out' }],
  },
  {
    name: 'a baluster',
    start: 30,
    places: 500,
    elements: [
      { kind: 'cylinder', id: 'a', ...length(25) },
      { kind: 'bead', id: 'b', ...length(12), crown: dim(40) },
      { kind: 'cove', id: 'c', ...length(16), bottom: dim(20) },
      { kind: 'shoulder', id: 'd', ...ends(24) },
      { kind: 'cylinder', id: 'e', ...length(6) },
      { kind: 'arc', id: 'f', ...length(60), ...ends(40), radius: dim(120), side: 'out' },
      { kind: 'taper', id: 'g', ...length(70), ...ends(22) },
      { kind: 'bead', id: 'h', ...length(8), crown: dim(30) },
      { kind: 'cylinder', id: 'i', ...length(20) },
    ],
  },
];

/** COPY_TRIES=200 tries longer. */
const TRIES = Number(process.env['COPY_TRIES'] ?? 20);
const NOISES = [0.02, 0.05, 0.1];
const SLIPS = 0.01;

/** A sample of a shape: noise of σ on each side, and one place in a hundred slipped by 0.3 to 2.3. */
function sampleOf({ start, elements, places }: Shape, seed: number, sigma: number): SamplePoint[] {
  const outline = chain(elements, start);
  const uniform = uniformFrom(seed);
  const normal = () => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
  return Array.from({ length: places }, (_, i) => {
    const x = (outline.length * (i + 0.5)) / places;
    const slip = uniform() < SLIPS ? (uniform() < 0.5 ? -1 : 1) * (0.3 + 2 * uniform()) : 0;
    const r = radiusAt(outline, x) + slip;
    return { x, up: r + sigma * normal(), down: r + sigma * normal() };
  });
}

const kindsOf = (elements: readonly Element[]): string => elements.map((e) => e.kind).join(' ');

describe('samples with noise and slips', () => {
  it.each(shapes)('$name is found in 19 of 20 tries', (shape) => {
    const missed: string[] = [];
    for (let k = 0; k < TRIES; k++) {
      const sigma = NOISES[k % NOISES.length] ?? 0.1;
      const { turning } = fitSample(sampleOf(shape, k + 1, sigma));
      const kinds = kindsOf(turning.elements);
      if (kinds !== kindsOf(shape.elements)) missed.push(`${k} σ ${sigma}: ${kinds}`);
    }
    expect(missed.slice(TRIES * 0.05)).toEqual([]);
  });

  it('a baluster is found at few places too: steep sides that meet are no step, and end as they began', () => {
    const baluster = { ...shapes[5]!, places: 300 };
    const tries = Math.max(60, TRIES);
    const missed = Array.from({ length: tries }, (_, k) =>
      kindsOf(fitSample(sampleOf(baluster, k + 101, 0.1)).turning.elements),
    ).filter((kinds) => kinds !== kindsOf(baluster.elements));
    expect(missed.slice(tries * 0.1)).toEqual([]);
  });

  it('a step that is there stays one, beside a flat curve and between steep sides', () => {
    const steps: Shape[] = [
      {
        name: 'beside a flat curve',
        start: 40,
        places: 300,
        elements: [
          { kind: 'arc', id: 'a', ...length(80), ...ends(36), radius: dim(200), side: 'out' },
          { kind: 'shoulder', id: 'b', ...ends(34.6) },
          { kind: 'cylinder', id: 'c', ...length(60) },
        ],
      },
      {
        name: 'between two coves',
        start: 40,
        places: 500,
        elements: [
          { kind: 'cove', id: 'a', ...length(30), bottom: dim(24) },
          { kind: 'shoulder', id: 'b', ...ends(30) },
          { kind: 'cove', id: 'c', ...length(30), bottom: dim(18) },
        ],
      },
    ];
    for (const shape of steps)
      for (let k = 0; k < 8; k++) {
        const { elements } = fitSample(sampleOf(shape, k + 1, 0.05)).turning;
        expect([shape.name, kindsOf(elements)]).toEqual([shape.name, kindsOf(shape.elements)]);
      }
  });

  it('diameters of straights are known to twice the error of a mean, or two hundredths', () => {
    const [cylinder] = shapes;
    const offs = Array.from({ length: 12 }, (_, k) => {
      const sigma = NOISES[k % NOISES.length] ?? 0.1;
      const { startDiameter } = fitSample(sampleOf(cylinder!, k + 1, sigma)).turning;
      const mean = (2 * sigma) / Math.SQRT2 / Math.sqrt(cylinder!.places);
      return Math.abs(startDiameter.mm - 30) / Math.max(0.02, 2 * mean);
    });
    expect(offs.filter((off) => off > 1 + 1e-9)).toEqual([]);
  });

  it('how many points there are says nothing about how many elements', () => {
    const kinds = [200, 600, 3000].map((places) => {
      const { turning } = fitSample(sampleOf({ ...shapes[0]!, places }, 5, 0.05));
      return kindsOf(turning.elements);
    });
    expect(new Set(kinds)).toEqual(new Set(['cylinder']));
  });

  it('slips are named, also on a slope and two beside each other', () => {
    const points = sampleOf(shapes[2]!, 3, 0.02).map((p, i) =>
      [100, 250, 251].includes(i) ? { ...p, up: p.up + 1.2, down: p.down + 1.2 } : p,
    );
    const { outliers, turning, error } = fitSample(points);
    const at = (i: number) => points[i]!.x - points[0]!.x;
    for (const i of [100, 250, 251])
      expect(outliers.some((o) => Math.abs(o.x - at(i)) < 1e-9 && Math.abs(o.off) > 0.5)).toBe(true);
    expect(kindsOf(turning.elements)).toBe('taper');
    expect(error).toBeLessThan(0.03);
  });

  it('fewer curves leave more, more leave less, and as many are drawn as are asked for', () => {
    const points = sampleOf(shapes[5]!, 2, 0.02);
    const { rungs, curves } = fitSample(points);
    expect(rungs.map((r) => r.curves)).toEqual([...rungs.map((r) => r.curves)].sort((a, b) => a - b));
    rungs.slice(1).forEach((rung, i) => expect(rung.error).toBeLessThan(rungs[i]!.error * 1.02 + 1e-9));
    const fewer = fitSample(points, { curves: curves - 2 });
    expect(fewer.curves).toBe(curves - 2);
    expect(fewer.error).toBeGreaterThan(2 * fitSample(points).error);
  });

  it('a straight keeps its size beside a short neighbour that is known less well', () => {
    const beside: Shape = {
      name: 'beside a chamfer',
      start: 12,
      places: 500,
      elements: [
        { kind: 'taper', id: 'a', ...length(6), ...ends(29.93) },
        { kind: 'cylinder', id: 'b', ...length(120) },
      ],
    };
    for (let k = 0; k < 6; k++) {
      const { turning } = fitSample(sampleOf(beside, k + 1, 0.1));
      const [chamfer] = turning.elements;
      expect(turning.elements.at(-1)?.kind).toBe('cylinder');
      expect(chamfer?.kind === 'taper' && Math.abs(chamfer.endDiameter.mm - 29.93)).toBeLessThan(0.03);
    }
  });

  it('values are as plain as what was measured lets them be', () => {
    const { turning } = fitSample(sampleOf(shapes[5]!, 4, 0.02));
    const diameters = turning.elements.flatMap((e) => ('endDiameter' in e ? [e.endDiameter.mm] : []));
    for (const mm of [turning.startDiameter.mm, ...diameters]) expect(mm).toBe(Math.round(mm * 100) / 100);
    expect(turning.startDiameter.mm).toBe(30);
  });
});
