export { type HardwareFace, type Layout, layoutOf, type Seat, type SizingCut } from './marks.js';
export { missingSlots, slotGauge, type WantedSlot } from './gauges.js';
export { canBeLeftOut, type Mark, notchesOf } from './notches.js';
export { sizedPlaces } from './sizedPlaces.js';
export { type Edge, edgePoints, heightAt, type Piece } from './edge.js';
export { offsetAbove } from './offset.js';
export { type Corner, type Missed, type Template, templateFindings, templateOf } from './template.js';
export {
  BALL_SHARES,
  ballByFacets,
  type BallMark,
  facetWidth,
  firstFacet,
  firstMark,
  SECOND_FACET,
  secondMark,
  TRUING,
} from './ball.js';
