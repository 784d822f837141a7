export {
  type Body,
  type Drilled,
  drilledRadius,
  drilledReach,
  type Flat,
  hasWood,
  type JoinedForm,
  type Skin,
  skinRadius,
  type SawnForm,
} from './body.js';
export { type Unlike, unlikeSurfaces } from './bodyDifference.js';
export { drawnBody, FINISHED, placementOf, turnedProfile } from './drawnBody.js';
export {
  aboutAxis,
  endForEnd,
  HERE,
  into,
  outOf,
  type Placement,
  placedIn,
  plus,
  round,
  sameLine,
  seenFrom,
  times,
  type Vector,
} from './space.js';
export { bodyBetween, type Probe, probeOf } from './probe.js';
export { bodySilhouette, type SilhouettePoint } from './silhouette.js';
export { drilledStretch, skinReach } from './reach.js';
export { roundTo } from './roundness.js';
export { STOCK } from './surface.js';
