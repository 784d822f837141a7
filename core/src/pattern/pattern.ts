import type { Dimension, Stage } from '../measure/index.js';
import type { OwnWay } from '../workshop/index.js';
import type { Element } from './element.js';

export const ITEM_KINDS = [
  'stopper',
  'handle',
  'finial',
  'ornament',
  'rolling pin',
  'top',
  'ball',
  'leg',
  'scoop',
  'rattle',
  'other',
] as const;
export type ItemKind = (typeof ITEM_KINDS)[number];

/** One axis with its profile. */
export interface Turning {
  id: string;
  startDiameter: Dimension;
  elements: Element[];
  /** the start diameter stays when others are scaled */
  startHeld?: boolean;
  /** fixed total length; the element that takes up gets what the others leave */
  total?: Dimension;
  /** where this axis lies against the part's first; the first turning has none */
  axis?: TurningAxis;
}

/**
 * A further axis: shifted by `shift` from the first at the reference end, in the direction `direction`
 * (degrees round the first axis), and leaning by `tilt` degrees in the same plane.
 */
export interface TurningAxis {
  shift: Dimension;
  direction: number;
  tilt: number;
  /** how far along the first axis the shift is and the lean begins; at the reference end when not said */
  along?: Dimension;
}

export const PART_ENDS = ['reference', 'far'] as const;
export type PartEnd = (typeof PART_ENDS)[number];

/** Where a hollow opens, and how that is said. */
export const OPENINGS = {
  reference: 'in the reference end',
  far: 'in the far end',
  side: 'in a side',
} as const satisfies Record<PartEnd | 'side', string>;
export type Opening = keyof typeof OPENINGS;

/**
 * Wood taken out about an axis from a flat across it: a bowl in a side, a recess in an end, an undercut. Its
 * profile runs from the rim into the wood.
 */
export interface Hollow {
  id: string;
  name: string;
  opens: Opening;
  /** of one in a side: its direction is the one in which it opens */
  axis?: TurningAxis;
  /** of one in a side: how far along its axis the flat is that it opens in, mm */
  rim?: Dimension;
  startDiameter: Dimension;
  elements: Element[];
}

/** One bore of a stepped hole; `depth` is measured from the mouth to the shoulder of the bit. */
export interface HoleStep {
  diameter: Dimension;
  depth: Dimension;
  /** diameter at its depth when the step tapers */
  endDiameter?: Dimension;
}

/** Axial hole. Steps go from the mouth inwards, each narrower and deeper than the last. */
export interface Hole {
  id: string;
  name: string;
  from: PartEnd;
  through: boolean;
  /** full angle of the bit's point, degrees; 180 is a flat bottom */
  pointAngle: number;
  steps: HoleStep[];
}

/** Hole across the axis; `at` runs from the end that `from` names to its centre. */
export interface CrossHole {
  id: string;
  name: string;
  from: PartEnd;
  at: Dimension;
  /** round the axis, degrees, 0 facing the turner */
  angle: number;
  diameter: Dimension;
  through: boolean;
  /** from the surface to the shoulder of the bit when it does not go through */
  depth?: Dimension;
}

/** A ring turned out of the same wood round a shaft, which it can never leave. */
export interface CaptiveRing {
  id: string;
  name: string;
  /** its middle, from the reference end */
  at: Dimension;
  /** along the shaft */
  width: Dimension;
  /** its outside diameter */
  across: Dimension;
  /** between it and the shaft, all round */
  play: Dimension;
}

export const DECORATION_KINDS = ['burnt line', 'texture', 'colour'] as const;
export type DecorationKind = (typeof DECORATION_KINDS)[number];

/** What is done to the surface of an element: from `from` after its beginning, so wide. */
export interface Decoration {
  id: string;
  kind: DecorationKind;
  elementId: string;
  from: Dimension;
  width: Dimension;
  words?: string;
}

export interface Part {
  id: string;
  name: string;
  perItem: number;
  materialId: string;
  turnings: [Turning, ...Turning[]];
  holes: Hole[];
  crossHoles?: CrossHole[];
  hollows?: Hollow[];
  rings?: CaptiveRing[];
  decorations?: Decoration[];
  /** what is done to it otherwise than usual, whenever it is made */
  ways?: OwnWay[];
}

/** A kit from the workshop's list fitted to one end of a part. */
export interface FittedHardware {
  id: string;
  kitId: string;
  partId: string;
  end: PartEnd;
}

export const JOIN_KINDS = [
  'pin in hole',
  'glued stem',
  'screwed',
  'pressed',
  'cord through',
  'ring on shaft',
] as const;
export type PartJoinKind = (typeof JOIN_KINDS)[number];

/**
 * How two parts of an item meet: an end of one enters a hole of the other by `depth`. A ring or a cord
 * sits `at` so far from the reference end of the part that carries it.
 */
export interface PartJoin {
  id: string;
  kind: PartJoinKind;
  /** the part that enters, or the shaft a ring or cord is on */
  inner: { partId: string; end: PartEnd };
  /** the part that receives, by one of its axial holes */
  outer: { partId: string; holeId: string };
  depth: Dimension;
  /** for a ring on its shaft */
  at?: Dimension;
}

export const CHECK_KINDS = {
  number: 'a number',
  felt: 'felt',
  photo: 'a photo',
  function: 'a trial of its work',
} as const;
export type CheckKind = keyof typeof CHECK_KINDS;

/** When a check is made, and how that is said. */
export const CHECK_STAGES = {
  stock: 'on the blank',
  drill: 'after drilling',
  mount: 'when it is held',
  mark: 'when it is marked',
  turn: 'after shaping',
  surface: 'after sanding and finish',
  assemble: 'when it is put together',
  twins: 'at the end',
} as const satisfies Partial<Record<Stage, string>>;
export type CheckStage = keyof typeof CHECK_STAGES;

/** What must hold before a piece goes on: a number, words that are felt, a photo, a function test. */
export interface AcceptanceCheck {
  id: string;
  kind: CheckKind;
  /** what is looked at, in words: “a fingernail does not catch” */
  words: string;
  /** the element or join it belongs to; the whole item when it has none */
  onId?: string;
  /** when it is made */
  stage: CheckStage;
  /** for a number or a function test */
  unit?: string;
  least?: number;
  most?: number;
}

/** Where a design comes from, and how that is said. */
export const DESIGN_ORIGINS = {
  own: 'our own',
  customer: 'a customer’s',
  sample: 'copied from a sample',
  drawing: 'from a drawing',
  'handed down': 'handed down',
} as const;
export type DesignOrigin = keyof typeof DESIGN_ORIGINS;

/** Where a design comes from and what its owner allows. */
export interface DesignSource {
  from: DesignOrigin;
  words: string;
  allows: string;
}

/** Something the item must meet: its outline by a few diameters, from where they touch outwards. */
export interface MatingOutline {
  id: string;
  name: string;
  partId: string;
  end: PartEnd;
  points: { at: Dimension; diameter: Dimension }[];
}

/** Who will handle the item: rules on finish and warnings follow from it. */
export const USED_BY = { anybody: 'anybody', food: 'with food', child: 'a child' } as const;
export type UsedBy = keyof typeof USED_BY;

/** The body of a pattern revision, as it is stored. */
export interface PatternBody {
  schema: 1;
  kind: ItemKind;
  usedBy: UsedBy;
  /** what the finished item may not exceed in length, hardware not counted */
  longest?: Dimension;
  parts: [Part, ...Part[]];
  hardware: FittedHardware[];
  joins?: PartJoin[];
  checks?: AcceptanceCheck[];
  source?: DesignSource;
  mates?: MatingOutline[];
  /** highest number given to an id, so that none is used twice */
  lastId: number;
}
