import type { Segment } from '../pattern/index.js';
import { saying, type Said } from './said.js';
import type { Datum } from './shop.js';

/** A profile as it is said: x from the datum into the wood, each stretch by its ends and how far it stands off the straight between them. mm */
export interface SaidProfile {
  from: Datum;
  x: number;
  diameter: number;
  to: { x: number; diameter: number; off?: number; elementId?: string }[];
}

/** A profile as stretches, x from its datum. mm */
export function segmentsOf({ x, diameter, to }: SaidProfile): Segment[] {
  let [x0, r0] = [x, diameter / 2];
  return to.map(({ x: x1, diameter: d, off = 0, elementId = '' }) => {
    const chord = Math.hypot(x1 - x0, d / 2 - r0);
    const segment = { elementId, x0, r0, x1, r1: d / 2, bulge: chord === 0 ? 0 : (2 * off) / chord };
    [x0, r0] = [x1, d / 2];
    return segment;
  });
}

/** What is said of a profile, place by place, and what is left on its radius for sanding. mm */
export function profileFigures({ from, x, diameter, to }: SaidProfile, leave: number): Said[] {
  return [
    saying('from', x, from),
    saying('⌀', diameter),
    ...to.flatMap((p): Said[] => [
      saying('to', p.x, from),
      saying('⌀', p.diameter),
      ...(p.off ? [saying(p.off > 0 ? 'round by' : 'hollow by', Math.abs(p.off))] : []),
    ]),
    ...(leave === 0 ? [] : [saying('left for sanding, on the radius', leave)]),
  ];
}

/** The profile that is said, read back: the same places and sizes. Null where none is said. */
export function profileSaid(said: readonly Said[]): SaidProfile | null {
  const begins = said.findIndex((s) => s.name === 'from');
  const [at, across] = [said[begins], said[begins + 1]];
  if (!at?.from || !across) return null;
  const to = said.flatMap(({ name, mm }, i) => {
    if (name !== 'to') return [];
    const curve = said[i + 2];
    const off = curve?.name === 'round by' ? curve.mm : curve?.name === 'hollow by' ? -curve.mm : 0;
    return [{ x: mm, diameter: said[i + 1]?.mm ?? 0, ...(off === 0 ? {} : { off }) }];
  });
  return { from: at.from, x: at.mm, diameter: across.mm, to };
}

/**
 * A drawn stretch as a turner is told it: its ends and how far it stands off the straight between them.
 * @param at where x = 0 of the segments lies from the datum, and whether they run away from it. mm
 */
export function saidOf(
  segments: readonly Segment[],
  from: Datum,
  at: { x: number; runs: 1 | -1 },
): SaidProfile {
  const ordered = at.runs === 1 ? [...segments] : segments.toReversed().map(backwards);
  const x = (value: number) => at.x + at.runs * value;
  const place = (value: number) => Number(x(value).toFixed(6));
  const [first] = ordered;
  return {
    from,
    x: place(first?.x0 ?? 0),
    diameter: 2 * (first?.r0 ?? 0),
    to: ordered.map((s) => ({
      x: place(s.x1),
      diameter: 2 * s.r1,
      ...(s.bulge === 0 ? {} : { off: sagitta(s) }),
      elementId: s.elementId,
    })),
  };
}

const backwards = (s: Segment): Segment => ({ ...s, x0: s.x1, r0: s.r1, x1: s.x0, r1: s.r0 });

/** How far an arc stands off its chord, outwards above 0: half the chord times its bulge. mm */
const sagitta = ({ x0, r0, x1, r1, bulge }: Segment): number => (bulge * Math.hypot(x1 - x0, r1 - r0)) / 2;
