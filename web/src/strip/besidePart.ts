import { assembled, outlineOf, type PatternBody, type PlacedPart } from '@compas/core';

/** Another part of the item, where it lies against the part that is drawn: x of that part, mm. */
export interface Beside extends PlacedPart {
  /** where its reference end lies, and which way it runs */
  from: number;
  runs: 1 | -1;
}

/** The parts that are joined into one thing with a part, as they lie beside it. */
export function besidePart(body: PatternBody, partId: string): Beside[] {
  const placed = assembled(body);
  const own = placed.find((p) => p.part.id === partId);
  if (!own?.joined) return [];
  const sign = own.turned ? -1 : 1;
  return placed
    .filter((p) => p !== own && p.joined && body.parts.length > 1)
    .map((p) => ({ ...p, from: (p.x - own.x) * sign, runs: p.turned === own.turned ? 1 : -1 }));
}

/** How far parts that lie beside one reach beyond its ends and from its axis, mm. */
export function reachBeside(beside: readonly Beside[], length: number) {
  const ends = beside.flatMap(({ from, runs, length: own }) => [from, from + runs * own]);
  return {
    reference: Math.max(0, ...ends.map((x) => -x)),
    far: Math.max(0, ...ends.map((x) => x - length)),
    radius: Math.max(
      0,
      ...beside.flatMap(({ part }) => outlineOf(part.turnings[0]).segments.flatMap((s) => [s.r0, s.r1])),
    ),
  };
}
