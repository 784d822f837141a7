import type { Dimension } from '../measure/index.js';

/**
 * Elements follow each other from the reference end (x = 0). Each begins at the diameter where the
 * one before ended, so neighbours always share it; only a shoulder makes a step. Lengths run along
 * the axis.
 */
export type Element =
  | ({ kind: 'cylinder'; length: Dimension } & ElementBase)
  | ({ kind: 'taper'; length: Dimension; endDiameter: Dimension } & ElementBase)
  /** round ridge: rises to `crown` and comes back to where it began */
  | ({ kind: 'bead'; length: Dimension; crown: Dimension } & ElementBase)
  /** round hollow: sinks to `bottom` and comes back to where it began */
  | ({ kind: 'cove'; length: Dimension; bottom: Dimension } & ElementBase)
  | ({ kind: 'shoulder'; endDiameter: Dimension } & ElementBase)
  | ({ kind: 'v-groove'; length: Dimension; depth: Dimension } & ElementBase)
  /** ball of `diameter` on necks of the diameter before and `endDiameter`; its length follows */
  | ({ kind: 'sphere'; diameter: Dimension; endDiameter: Dimension } & ElementBase)
  /** arc of a given radius, bulging out or hollow */
  | ({
      kind: 'arc';
      length: Dimension;
      endDiameter: Dimension;
      radius: Dimension;
      side: 'out' | 'in';
    } & ElementBase);

export type ElementKind = Element['kind'];

export interface ElementBase {
  /** stable, never reused within the pattern */
  id: string;
  /** the turner's word for it: collar, grip, tip */
  name?: string;
  /** allowed difference of the diameter at its end, ± mm; the default is that of a seen diameter */
  tolerance?: number;
}

export type ItemKind = 'stopper' | 'handle' | 'finial' | 'ornament' | 'rolling pin' | 'other';

/** One axis with its profile. */
export interface Turning {
  id: string;
  startDiameter: Dimension;
  elements: Element[];
}

export type PartEnd = 'reference' | 'far';

/** One bore of a stepped hole; `depth` is measured from the mouth to the shoulder of the bit. */
export interface HoleStep {
  diameter: Dimension;
  depth: Dimension;
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

export interface Part {
  id: string;
  name: string;
  perItem: number;
  materialId: string;
  turnings: [Turning, ...Turning[]];
  holes: Hole[];
}

/** A kit from the workshop's list fitted to one end of a part. */
export interface FittedHardware {
  id: string;
  kitId: string;
  partId: string;
  end: PartEnd;
}

/** Who will handle the item: rules on finish and warnings follow from it. */
export type UsedBy = 'anybody' | 'food' | 'child';

/** The body of a pattern revision, as it is stored. */
export interface PatternBody {
  schema: 1;
  kind: ItemKind;
  usedBy: UsedBy;
  /** what the finished item may not exceed in length, hardware not counted */
  longest?: Dimension;
  parts: [Part, ...Part[]];
  hardware: FittedHardware[];
  /** highest number given to an id, so that none is used twice */
  lastId: number;
}
