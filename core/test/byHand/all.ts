import { outlineOf, type PatternBody } from '../../src/pattern/index.js';
import { judged, madeBy } from '../judge/judged.js';
import type { Lengths, Route } from '../../src/route/operation.js';
import { play } from '../../src/route/play.js';
import { scoopLength, scoopPattern, scoopRoute } from './scoop.js';
import { stopperPattern, stopperRoute } from './stopper.js';
import { topRoute } from './top.js';
import { topLengths, topPattern } from './topPattern.js';

export interface ByHand {
  name: string;
  pattern: PatternBody;
  route: () => Route;
  lengths: Lengths;
}

const stopperLength = outlineOf(stopperPattern.parts[0].turnings[0]).length;

/** The routes that were written by hand before there was a planner. */
export const BY_HAND = [
  { name: 'stopper', pattern: stopperPattern, route: stopperRoute, lengths: () => stopperLength },
  { name: 'top', pattern: topPattern, route: topRoute, lengths: topLengths },
  { name: 'scoop', pattern: scoopPattern, route: scoopRoute, lengths: () => scoopLength },
] as const satisfies ByHand[];

/** How many places of each piece that is made the test lathe's and the drawn one differ in, looked at so far apart. mm */
export function differences({ pattern, lengths }: ByHand, route: Route, pitch: number) {
  const { woods } = play(route, lengths).end;
  const lathe = madeBy(route.operations);
  return pattern.parts.flatMap((part) => {
    const pieces = woods.flatMap((wood) =>
      wood.pieces.flatMap((piece, index) => (piece.partId === part.id ? [{ wood, piece, index }] : [])),
    );
    if (pieces.length === 0) return [{ looked: 0, missing: Infinity, extra: 0 }];
    return pieces.map(({ wood, piece, index }) => {
      const has = (p: readonly [number, number, number]) =>
        wood.body.form.kind === 'joined' ? lathe.partHas(wood.id, index, p) : lathe.has(wood.id, p);
      const { looked, missing, extra } = judged(part, piece.at, has, pitch);
      return { looked, missing: missing.length, extra: extra.length };
    });
  });
}
