import { stepsOfPiece, type PieceProgress } from '../../batch/index.js';
import type { Station } from '../../inspect/index.js';
import type { Part } from '../../pattern/index.js';
import {
  appliedAll,
  covers,
  goalsOf,
  restOf,
  stepsWithTaken,
  type Operation,
  type Shop,
  type Step,
} from '../../route/index.js';
import type { PartPlan } from '../part/partPlan.js';

/** A place of a piece that came out otherwise than it was wanted, mm across. */
export interface OffSize {
  station: Station;
  mm: number;
}

/** What is left of a piece that came out otherwise: what it can no longer become, and what is still to be done on it. */
export interface Spoilt {
  lost: string[];
  left: Step[];
}

/**
 * What becomes of a piece as it stands: its wood is worked out from what is done on it, thinner where it was measured
 * thinner, and the route is taken up from there. Null for plans that know no wood.
 * @param steps all of the plan
 * @param part the part of the pattern that the piece is of
 */
export function spoilt(
  steps: readonly Step[],
  plan: Pick<PartPlan, 'outline' | 'holes'>,
  part: Part,
  progress: PieceProgress,
  off: readonly OffSize[],
): Spoilt | null {
  const own = stepsOfPiece(steps, progress).filter((s) => s.item !== true && s.only === undefined);
  const done = own.filter((s) => progress.done.has(s.id));
  if (own.some((s) => s.operation === undefined)) return null;
  const taken = stepsWithTaken(steps, part.id).filter((s) => s.partId !== part.id && s.only === undefined);
  const begun = appliedAll(operationsOf([...taken, ...done]));
  const stands = off.reduce((shop, size) => thinned(shop, plan, size), begun);
  const { rest, end } = restOf(operationsOf(own), stands, new Set(progress.done.keys()));
  const left = new Set(rest.map((o) => o.id));
  const goals = goalsOf({ part, outline: plan.outline, holes: plan.holes });
  return {
    lost: covers(end, goals, operationsOf(own)).map((f) => f.what),
    left: own.filter((s) => left.has(s.id)),
  };
}

/** The wood with the skins that reach a place as much thinner as it was measured there; what is fat is still to be cut. */
function thinned(shop: Shop, { outline }: Pick<PartPlan, 'outline'>, { station, mm }: OffSize): Shop {
  const by = (station.finished - mm) / 2;
  if (by <= 0) return shop;
  const touching = outline.spans
    .filter((s) => s.x0 <= station.x + 1e-6 && s.x1 >= station.x - 1e-6)
    .map((s) => `shape:${s.element.id}`);
  const names = new Set([...touching, `size:${station.id}`]);
  return {
    ...shop,
    woods: shop.woods.map((wood) => ({
      ...wood,
      body: {
        ...wood.body,
        skins: wood.body.skins.map((skin) =>
          names.has(skin.id.slice(skin.id.indexOf('/') + 1))
            ? {
                ...skin,
                fat: [],
                profile: skin.profile.map((s) => ({
                  ...s,
                  r0: Math.max(0, s.r0 - by),
                  r1: Math.max(0, s.r1 - by),
                })),
              }
            : skin,
        ),
      },
    })),
  };
}

const operationsOf = (steps: readonly Step[]): Operation[] => steps.flatMap((s) => s.operation ?? []);
