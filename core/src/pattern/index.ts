export {
  type AcceptanceCheck,
  type CaptiveRing,
  CHECK_KINDS,
  CHECK_STAGES,
  type CheckKind,
  type CheckStage,
  type CrossHole,
  type Decoration,
  DECORATION_KINDS,
  type DecorationKind,
  DESIGN_ORIGINS,
  type DesignOrigin,
  type DesignSource,
  type FittedHardware,
  type Hole,
  type HoleStep,
  type Hollow,
  ITEM_KINDS,
  type ItemKind,
  JOIN_KINDS,
  type MatingOutline,
  type Opening,
  OPENINGS,
  type Part,
  PART_ENDS,
  type PartEnd,
  type PartJoin,
  type PartJoinKind,
  type PatternBody,
  type Turning,
  type TurningAxis,
  USED_BY,
  type UsedBy,
} from './pattern.js';
export type { DimensionKey, Element, ElementKind, ElementOf, FairPoint } from './element.js';
export type { ElementSpan, Outline, SquareSpan } from './shape.js';
export { chain } from './chain.js';
export { canTakeUp, settled } from './takeUp.js';
export { type Circle, circleOf, pointAt, radiusOn, type Segment, turningPoint } from './arc.js';
export { arcsAlong, type Curve, type CurvePoint } from './biarc.js';
export { facesLeft } from './facesLeft.js';
export { outlineOf } from './outline.js';
export { tenonDiameter } from './tenonFit.js';
export {
  extremes,
  ownSegments,
  peaksOf,
  pointsAlong,
  radiiAt,
  radiusAt,
  slimmestOf,
  widestOf,
} from './radius.js';
export { type Solid, solidOf } from './solid.js';
export { boreAt, drilledSolid, holeBoundary, holeReach, pointLength } from './hole.js';
export { ringPart, ringPlace, type RingPlace } from './ring.js';
export { axisSection } from './axisSection.js';
export { hollowSection, leastHollowWall, wallOf } from './hollow.js';
export { leastWall, type LeastWall } from './wall.js';
export {
  DIMENSION_KEYS,
  dimensionOf,
  dimensionsOf,
  dimensionWords,
  lieOf,
  nameOf,
  usualOf,
  withDimension,
} from './elementDimensions.js';
export { ELEMENT_KIND_NAMES, fieldsOf, kindOf, newElement } from './kinds/elementKinds.js';
export type { Field, Standing } from './kinds/kindRow.js';
export { checkPattern, LONGEST, WIDEST } from './checkPattern.js';
export { differenceInWords } from './difference.js';
export type { StartingForm } from './forms/form.js';
export { STARTING_FORMS } from './forms/index.js';
export { type Bore, boreOf, type CrossWall, crossWalls } from './crossHole.js';
export { changeOne, inStep, type JoinSides, joinSides, partJoinFindings } from './joins.js';
export { assembled, type PlacedPart } from './assembled.js';
export { scaled, type Scaling } from './scale.js';
export {
  canJoin,
  canSplit,
  copied,
  joinWithNext,
  mirroredTurning,
  repeated,
  splitAt,
  withElements,
} from './arrange.js';
export { compareOutlines, type Comparison } from './compare.js';
export { flowFindings, meetingOf } from './flow.js';
export { weakPlaces } from './places.js';
export { designAdvice } from './advice.js';
export {
  type Feature,
  FEATURES,
  inOrder,
  MOST_SAMPLE_POINTS,
  pointsOf,
  SAMPLED_BY,
  type SampledBy,
  type SamplePoint,
  type Trace,
  traceOf,
} from './fit/sample.js';
export { oneCurve } from './fit/oneCurve.js';
export { fitSample, type FitWishes, leftOver, type FittedSample } from './fit/fitSample.js';
export { latheMesh, type Mesh } from './latheMesh.js';
export * from './body/index.js';
