import { dim, len } from '../measure/index.js';
import type { CaptiveRing, Part } from './pattern.js';
import { extremes } from './radius.js';
import type { Outline } from './shape.js';

/** A ring where it is turned: from where to where on its shaft, inside and outside diameters. mm */
export interface RingPlace {
  x0: number;
  x1: number;
  inside: number;
  outside: number;
}

/** Where a ring is turned; its inside clears the thickest place of the shaft under it by its play. */
export function ringPlace({ at, width, across, play }: CaptiveRing, outline: Outline): RingPlace {
  const [x0, x1] = [at.mm - width.mm / 2, at.mm + width.mm / 2];
  const under = extremes(outline, Math.max(0, x0), Math.min(outline.length, x1)).largest.diameter;
  return { x0, x1, inside: under + 2 * play.mm, outside: across.mm };
}

/** A ring as a part of its own: a bead with a hole right through. It is made in the route of its shaft. */
export function ringPart(ring: CaptiveRing, outline: Outline, materialId = ''): Part {
  const { x0, x1, inside, outside } = ringPlace(ring, outline);
  return {
    id: ring.id,
    name: ring.name,
    perItem: 1,
    materialId,
    turnings: [
      {
        id: `${ring.id}.outside`,
        startDiameter: dim(inside),
        elements: [
          { kind: 'bead', id: `${ring.id}.bead`, name: ring.name, length: dim(x1 - x0), crown: dim(outside) },
        ],
      },
    ],
    holes: [
      {
        id: `${ring.id}.inside`,
        name: `inside of the ${ring.name}`,
        from: 'reference',
        through: true,
        pointAngle: 180,
        steps: [{ diameter: dim(inside), depth: dim(x1 - x0) }],
      },
    ],
  };
}

/** Beside a ring a hooked tool must reach in under it from both sides. mm */
const BESIDE = 3;

/** What keeps a ring from being made or from staying on, in sentences. */
export function ringProblems(ring: CaptiveRing, outline: Outline): string[] {
  const { name, play } = ring;
  const { x0, x1, inside, outside } = ringPlace(ring, outline);
  if (x0 - BESIDE < 0 || x1 + BESIDE > outline.length)
    return [
      `${name} lies from ${len(x0)} to ${len(x1)}; the part is ${len(outline.length)} long. Move it inwards.`,
    ];
  if (play.mm <= 0) return [`${name} has no play round its shaft: it would not come free. Give it some.`];
  const rise = (outside - inside) / 2;
  if (rise <= 0)
    return [
      `${name} is ${len(outside)} across and ${len(inside)} inside: nothing is left of it. Make it larger.`,
    ];
  if (rise > (x1 - x0) / 2 + 1e-6)
    return [
      `${name} stands ${len(rise)} high and is only ${len(x1 - x0)} wide. Make it wider, or less across.`,
    ];
  const widest = (from: number, to: number) => extremes(outline, from, to).largest.diameter;
  if (Math.max(widest(x0 - BESIDE, x0), widest(x1, x1 + BESIDE)) > inside)
    return [
      `Beside ${name} a hooked tool needs ${len(BESIDE)} of shaft on both sides, below ${len(inside)}. Move it.`,
    ];
  return [widest(0, x0), widest(x1, outline.length)].some((most) => most <= inside)
    ? [
        `${name} is ${len(inside)} inside and would slip off an end of the part. Give it less play, or the ends more.`,
      ]
    : [];
}
