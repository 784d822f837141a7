import type { Body } from './body.js';
import { drilledStretch, skinReach, type Reach } from './reach.js';
import type { Placement } from './space.js';

/** How far a body is round about the axis of its frame. mm */
export interface Roundness {
  /** nearer to the axis than this no face was sawn or planed */
  within: number;
  /** faces were cut nearer to the axis than the stock's own */
  faced: boolean;
  /** where along the frame something may be felt that does not turn about its axis */
  aside: Reach[];
}

/** Whether an axis is that of the frame: then what turns about it turns about both. */
export const onAxis = ({ at, along }: Placement): boolean =>
  Math.abs(along[0]) > 1 - 1e-9 && Math.hypot(at[1], at[2]) < 1e-6;

/** Where a body is round, mm; null of one that is joined, where nobody can say. */
export function roundnessOf({ form, skins, drilled, flats }: Body): Roundness | null {
  if (form.kind === 'joined') return null;
  const across = form.kind === 'boundless' ? Infinity : form.across / 2 - 1e-6;
  const sawn = form.kind === 'oval' ? Math.min(across, (form.short ?? form.across) / 2) : across;
  const faces = flats.filter(({ at }) => !onAxis(at)).map(({ at }) => Math.hypot(at.at[1], at.at[2]));
  return {
    within: Math.min(sawn, ...faces),
    faced: faces.some((far) => far < across),
    aside: [
      ...skins.filter((s) => !onAxis(s.axis)).map(skinReach),
      ...drilled.filter((d) => !onAxis(d.at)).map(drilledStretch),
    ],
  };
}

/** Two bodies of one frame together: round where both are. */
export const bothRound = (a: Roundness, b: Roundness): Roundness => ({
  within: Math.min(a.within, b.within),
  faced: a.faced || b.faced,
  aside: [...a.aside, ...b.aside],
});

/**
 * Within which radius all of a body is round about the axis of its frame: nothing lies off it but the faces it was sawn
 * to. Null where anything else does. mm
 */
export function roundTo(body: Body): number | null {
  const found = roundnessOf(body);
  return found && !found.faced && found.aside.length === 0 ? found.within : null;
}
