import { len } from '../measure/index.js';
import type { Segment } from './arc.js';
import { cornersOf, solidFrom, takenAway, turned, type Integrals, type Solid } from './solid.js';
import type { Outline } from './outline.js';
import type { Hole } from './pattern.js';

/** Length of the bit's point beyond its shoulder: (d/2) / tan(half the point angle), mm. */
export const pointLength = (diameter: number, pointAngle: number): number =>
  pointAngle >= 180 ? 0 : diameter / 2 / Math.tan((pointAngle * Math.PI) / 360);

/** Deepest reach of a hole from its mouth, the point included, mm. */
export function holeReach(hole: Hole, partLength: number): number {
  if (hole.through) return partLength;
  return Math.max(
    0,
    ...hole.steps.map((s) => s.depth.mm + pointLength((s.endDiameter ?? s.diameter).mm, hole.pointAngle)),
  );
}

/**
 * Boundary of a hole in the half plane of the axis, mouth inwards, in the part's own x: bore walls,
 * steps and the cone of the point as straight segments.
 */
export function holeBoundary(hole: Hole, partLength: number): Segment[] {
  const points: [number, number][] = [];
  let depth = 0;
  hole.steps.forEach((step, i) => {
    const r = step.diameter.mm / 2;
    const last = i === hole.steps.length - 1;
    points.push([depth, r]);
    depth = last && hole.through ? partLength : step.depth.mm;
    const end = step.endDiameter ? step.endDiameter.mm / 2 : r;
    points.push([depth, end]);
    if (last && !hole.through) points.push([depth + pointLength(2 * end, hole.pointAngle), 0]);
  });
  const toX = (d: number) => (hole.from === 'reference' ? d : partLength - d);
  return points.slice(1).map(([d, r], i) => {
    const [d0, r0] = points[i] ?? [0, 0];
    return { elementId: hole.id, x0: toX(d0), r0, x1: toX(d), r1: r, bulge: 0 };
  });
}

/** Radius of the hole at x, 0 where there is none, mm. */
export function boreAt(holes: readonly Hole[], outline: Outline, x: number): number {
  let bore = 0;
  for (const hole of holes)
    for (const { x0, r0, x1, r1 } of holeBoundary(hole, outline.length)) {
      const low = Math.min(x0, x1);
      const high = Math.max(x0, x1);
      if (x < low || x > high || low === high) continue;
      bore = Math.max(bore, r0 + ((x - x0) / (x1 - x0)) * (r1 - r0));
    }
  return bore;
}

/** What a hole takes out of the solid, as integrals of frusta and the cone of its point. */
const holeIntegrals = (hole: Hole, partLength: number): Integrals[] =>
  holeBoundary(hole, partLength).map((s) =>
    takenAway(turned(s.x1 >= s.x0 ? s : { ...s, x0: s.x1, r0: s.r1, x1: s.x0, r1: s.r0 })),
  );

/** Solid of a part less its axial holes; cross holes are too short to shift its balance. */
export const drilledSolid = (outline: Outline, holes: readonly Hole[]): Solid => {
  const wood = [...outline.segments.map(turned), ...(outline.squares ?? []).map(cornersOf)];
  return solidFrom([...wood, ...holes.flatMap((hole) => holeIntegrals(hole, outline.length))]);
};

/** The thinnest bit that is sold, mm: what is thinner cannot be drilled, and would be cleared of chips without end. */
const THINNEST_BIT = 0.3;

/** What is wrong with the diameter of a hole, mm. */
export function tooThin(name: string, diameter: number): string[] {
  if (diameter <= 0) return [`${name}: a hole of no diameter. Give its diameter.`];
  if (diameter >= THINNEST_BIT) return [];
  return [`${name}: ${len(diameter)} is thinner than any bit. Give ${len(THINNEST_BIT)} or more.`];
}

/** What is wrong with a hole in itself: steps that do not narrow, nothing drilled, too deep. */
export function holeProblems(hole: Hole, partLength: number): string[] {
  const problems: string[] = [];
  hole.steps.forEach((step, i) => {
    const before = hole.steps[i - 1];
    problems.push(...tooThin(hole.name, step.diameter.mm));
    if (step.depth.mm <= 0 && !hole.through) problems.push(`${hole.name}: give the depth to the shoulder.`);
    const above = before && (before.endDiameter ?? before.diameter).mm;
    if (before && (step.diameter.mm > (above ?? 0) || step.depth.mm <= before.depth.mm))
      problems.push(
        `${hole.name}: step ${i + 1} (${len(step.diameter.mm)}) must be no wider and deeper than step ${i} (${len(above ?? 0)}).`,
      );
    if (step.endDiameter && step.endDiameter.mm > step.diameter.mm)
      problems.push(
        `${hole.name}: a tapered step narrows inwards; ${len(step.endDiameter.mm)} at its depth is wider than ${len(step.diameter.mm)} at its mouth.`,
      );
  });
  if (!hole.through && holeReach(hole, partLength) >= partLength)
    problems.push(
      `${hole.name}: its point reaches ${len(holeReach(hole, partLength))}, but the part is ${len(partLength)} long. Drill less deep, or make it a through hole.`,
    );
  return problems;
}
