import { dim } from '../measure/index.js';
import {
  outlineOf,
  radiusAt,
  tenonDiameter,
  type CrossHole,
  type Element,
  type Hole,
  type Part,
  type PatternBody,
  type Turning,
} from '../pattern/index.js';

/**
 * Parts as any turner could make them, drawn by a number: thin ends, squares with a bead as wide, bores and cross holes
 * that leave a wall, recesses, hardware at the ends, axes that lean or are shifted. Each is built from cuts that exist, so
 * that none needs to be given up. What benchmarks and sweeps plan; the same number, the same part.
 */
export interface ExamplePart {
  body: PatternBody;
  /** what is hard about it */
  has: readonly string[];
}

/** Chance, as far as a seed goes. */
class Draw {
  private ids = 0;
  constructor(private state: number) {}

  /** The next of an even spread from 0 to 1: a step of mulberry32. */
  private next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  }

  /** A length in tenths. mm */
  mm(least: number, most: number): number {
    return tenths(least + (Math.max(least, most) - least) * this.next());
  }

  of<T>(choices: readonly [T, ...T[]]): T {
    return choices[Math.floor(this.next() * choices.length)] ?? choices[0];
  }

  chance(share: number): boolean {
    return this.next() < share;
  }

  id(kind: string): string {
    return `${kind}${++this.ids}`;
  }
}

const tenths = (mm: number): number => Number(mm.toFixed(1));
const WOODS = ['maple', 'ash', 'beech', 'pine', 'boxwood'] as const;
const END_KINDS = ['pin', 'peg', 'spire', 'knob', 'blunt', 'blunt', 'blunt'] as const;
type EndKind = (typeof END_KINDS)[number];

const cylinder = (draw: Draw, length: number): Element => ({
  kind: 'cylinder',
  id: draw.id('cylinder'),
  length: dim(length),
});
const shoulder = (draw: Draw, endDiameter: number): Element => ({
  kind: 'shoulder',
  id: draw.id('shoulder'),
  endDiameter: dim(endDiameter),
});
const taper = (draw: Draw, length: number, endDiameter: number): Element => ({
  kind: 'taper',
  id: draw.id('taper'),
  length: dim(length),
  endDiameter: dim(endDiameter),
});
const ball = (draw: Draw, endDiameter: number): Element => ({
  kind: 'sphere',
  id: draw.id('ball'),
  diameter: dim(draw.mm(14, 22)),
  endDiameter: dim(endDiameter),
});

/** An end of a kind: how thick it is at the very end and where it meets the body, and what lies between, from the end in. */
function endOf(
  draw: Draw,
  kind: EndKind,
  body: number,
): { start: number; inner: number; inwards: Element[] } {
  const thin = draw.mm(6, 10);
  switch (kind) {
    case 'pin':
      return { start: thin, inner: thin, inwards: [cylinder(draw, draw.mm(8, 40))] };
    case 'peg': {
      const across = tenonDiameter(thin, 'glue');
      const length = dim(draw.mm(8, 20));
      const peg: Element = { kind: 'tenon', id: draw.id('peg'), length, hole: dim(thin), fit: 'glue' };
      return { start: across, inner: across, inwards: [peg] };
    }
    case 'spire':
      return { start: 0, inner: thin, inwards: [taper(draw, draw.mm(10, 40), thin)] };
    case 'knob':
      return { start: 0, inner: thin, inwards: [ball(draw, thin)] };
    case 'blunt':
      return { start: body, inner: body, inwards: [cylinder(draw, draw.mm(10, 20))] };
  }
}

/** The same end as the last of a part: a taper and a ball run the other way round. */
const outwards = (draw: Draw, { start, inner, inwards }: ReturnType<typeof endOf>): Element[] => [
  shoulder(draw, inner),
  ...inwards.map((e): Element =>
    e.kind === 'taper' || e.kind === 'sphere' ? { ...e, endDiameter: dim(start) } : e,
  ),
];

/** What lies between the ends, never wider than the body. */
function middleOf(draw: Draw, body: number): Element[] {
  let across = body;
  const to = (diameter: number): Element => shoulder(draw, (across = diameter));
  const one: Record<'cylinder' | 'taper' | 'bead' | 'cove' | 'step' | 'groove' | 'neck', () => Element[]> = {
    cylinder: () => [cylinder(draw, draw.mm(8, 60))],
    taper: () => [taper(draw, draw.mm(15, 60), (across = draw.mm(Math.max(12, across * 0.6), body)))],
    bead: () => {
      const crown = dim(across);
      const beside = to(draw.mm(Math.max(10, across - 6), across - 2));
      return [beside, { kind: 'bead', id: draw.id('bead'), length: dim(draw.mm(8, 16)), crown }];
    },
    cove: () => {
      const bottom = dim(draw.mm(Math.max(8, across - 8), across - 3));
      return [{ kind: 'cove', id: draw.id('cove'), length: dim(draw.mm(10, 20)), bottom }];
    },
    step: () => [to(draw.mm(12, body)), cylinder(draw, draw.mm(6, 30))],
    groove: () => [
      cylinder(draw, 4),
      { kind: 'v-groove', id: draw.id('groove'), length: dim(2.5), depth: dim(1.2) },
      cylinder(draw, 4),
    ],
    neck: () => [
      to(draw.mm(8, 14)),
      cylinder(draw, draw.mm(4, 12)),
      to(draw.mm(16, body)),
      cylinder(draw, draw.mm(6, 20)),
    ],
  };
  const kinds = Object.keys(one) as [keyof typeof one, ...(keyof typeof one)[]];
  const count = draw.of([1, 2, 3, 4, 5]);
  return Array.from({ length: count }, () => one[draw.of(kinds)]()).flat();
}

/** A square that stays at the first end, and a bead as wide as it. */
function squareEnd(draw: Draw, side: number): Element[] {
  const neck = draw.mm(16, side * 0.7);
  return [
    {
      kind: 'square',
      id: draw.id('square'),
      length: dim(draw.mm(30, 80)),
      across: dim(side),
      endDiameter: dim(neck),
      shoulder: 'square',
    },
    cylinder(draw, draw.mm(5, 12)),
    {
      kind: 'bead',
      id: draw.id('bead'),
      length: dim(Math.max(draw.mm(8, 16), tenths(side - neck + 1))),
      crown: dim(draw.of([side, side - 1])),
    },
    shoulder(draw, side),
  ];
}

/** Least radius between two places, mm. */
function leastBetween(turning: Turning, from: number, to: number): number {
  const outline = outlineOf(turning);
  let least = Infinity;
  for (let x = Math.max(0, from); x <= Math.min(outline.length, to); x += 0.5)
    least = Math.min(least, radiusAt(outline, x));
  return least;
}

/** A wall that is left beside a bore, mm. */
const WALL = 4;

function boreIn(draw: Draw, turning: Turning, from: Hole['from'], through = false): Hole[] {
  const { length } = outlineOf(turning);
  const wide = draw.chance(0.2);
  const deep = through ? length : wide ? draw.mm(5, 8) : draw.mm(10, Math.min(40, length / 3));
  const reach = through ? length : deep + 8;
  const room =
    2 * leastBetween(turning, from === 'far' ? length - reach : 0, from === 'far' ? length : reach);
  const across = tenths(Math.min(wide ? draw.mm(14, 24) : draw.mm(6, 14), room - 2 * WALL));
  if (across < 4) return [];
  const steps = [{ diameter: dim(across), depth: dim(deep) }];
  return [{ id: draw.id('bore'), name: `bore in the ${from} end`, from, steps, pointAngle: 118, through }];
}

/** A cord hole anywhere, on slopes too, where wood stands all round it and no bore comes near. */
function cordHole(draw: Draw, turning: Turning, bores: readonly Hole[]): CrossHole[] {
  const { length } = outlineOf(turning);
  const at = tenths(length * (0.2 + 0.6 * (draw.mm(0, 100) / 100)));
  const diameter = dim(draw.mm(3, 5));
  const clear = bores.every(({ from, through, steps: [first] }) => {
    const deep = (first?.depth.mm ?? 0) + 10;
    return !through && (from === 'reference' ? at > deep : at < length - deep);
  });
  if (!clear || leastBetween(turning, at - 6, at + 6) < 7) return [];
  return [
    {
      id: draw.id('cord'),
      name: 'cord hole',
      from: 'reference',
      at: dim(at),
      angle: 0,
      diameter,
      through: true,
    },
  ];
}

/** A further axis, leaning or shifted, about which less is turned than stands there. */
function hookOn(draw: Draw, turning: Turning): Turning[] {
  const { length } = outlineOf(turning);
  const along = Math.round(length * 0.3);
  const long = draw.mm(8, 16);
  const room = 2 * leastBetween(turning, along - 4, along + long + 4);
  const leans = draw.chance(0.5);
  const axis = {
    shift: dim(leans ? 0 : draw.mm(2, 4)),
    direction: 0,
    tilt: leans ? draw.mm(1, 3) : 0,
    along: dim(along),
  };
  if (room < 16) return [];
  const startDiameter = dim(draw.mm(room * 0.6, room * 0.75));
  return [{ id: 't2', startDiameter, axis, elements: [cylinder(draw, long)] }];
}

/** So far in from its end hardware wants wood all round it, mm. */
const FITS = 34;

/** The ends that hardware sits on: none, one of them, or both. */
function fittedEnds(draw: Draw, blunt: readonly Hole['from'][]): Hole['from'][] {
  return draw.chance(0.3) ? blunt.filter(() => draw.chance(0.6)) : [];
}

/** What is drilled into it: right through, from its blunt ends, across; or a further axis, and nothing drilled. */
function workedInto(
  draw: Draw,
  turning: Turning,
  blunt: readonly Hole['from'][],
  fitted: readonly Hole['from'][],
) {
  const isBare = fitted.length === 0;
  const hooks = blunt.length === 2 && isBare && draw.chance(0.4) ? hookOn(draw, turning) : [];
  if (hooks.length > 0) return { hooks, holes: [], crossHoles: [] };
  const isThrough = blunt.length === 2 && isBare && draw.chance(0.12);
  const holes = isThrough
    ? boreIn(draw, turning, draw.of(['reference', 'far']), true)
    : blunt.flatMap((end) => (!fitted.includes(end) && draw.chance(0.4) ? boreIn(draw, turning, end) : []));
  const crossHoles = isBare && draw.chance(0.35) ? cordHole(draw, turning, holes) : [];
  return { hooks, holes, crossHoles };
}

/** Whether wood stands all round what hardware wants at an end. */
function takesHardware(turning: Turning, end: Hole['from']): boolean {
  const { length } = outlineOf(turning);
  const [from, to] = end === 'far' ? [length - FITS, length] : [0, FITS];
  return leastBetween(turning, from, to) > 12;
}

/**
 * The part of a number.
 * @param seed any whole number
 * @param pattern what is not of the part is taken from it
 * @param kitId a kit that goes into an end; without one no part has hardware
 */
export function examplePart(seed: number, pattern: PatternBody, kitId?: string): ExamplePart {
  const draw = new Draw(seed);
  const body = draw.mm(22, 50);
  const isLeg = draw.chance(0.15);
  const kinds: [EndKind, EndKind] = [isLeg ? 'blunt' : draw.of(END_KINDS), draw.of(END_KINDS)];
  const [first, last] = [endOf(draw, kinds[0], body), endOf(draw, kinds[1], body)];
  const turning: Turning = {
    id: 't1',
    startDiameter: dim(first.start),
    elements: [
      ...(isLeg ? squareEnd(draw, body) : first.inwards),
      ...(isLeg || first.inner === body ? [] : [shoulder(draw, body)]),
      ...middleOf(draw, body),
      ...outwards(draw, last),
    ],
  };
  const blunt = (['reference', 'far'] as const).filter((_, i) => kinds[i] === 'blunt' && !(i === 0 && isLeg));
  const fitted = fittedEnds(draw, kitId === undefined ? [] : blunt).filter((end) =>
    takesHardware(turning, end),
  );
  const { hooks, holes, crossHoles } = workedInto(draw, turning, blunt, fitted);
  const part: Part = {
    id: 'p',
    name: 'Part',
    perItem: 1,
    materialId: draw.of(WOODS),
    turnings: [turning, ...hooks],
    holes,
    ...(crossHoles.length > 0 ? { crossHoles } : {}),
  };
  const hardware = fitted.map((end, i) => ({ id: `h${i}`, kitId: kitId ?? '', partId: 'p', end }));
  return {
    body: { ...pattern, kind: 'other', parts: [part], hardware, joins: [] },
    has: [
      ...(isLeg ? ['a square'] : []),
      ...kinds.filter((k) => k !== 'blunt'),
      ...holes.map((h) => (h.through ? 'a bore right through' : `a bore in the ${h.from} end`)),
      ...crossHoles.map(() => 'a cross hole'),
      ...hooks.map(({ axis }) => (axis?.tilt === 0 ? 'a shifted axis' : 'a leaning axis')),
      ...fitted.map((end) => `hardware in the ${end} end`),
    ],
  };
}
