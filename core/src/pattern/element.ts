import type { Dimension } from '../measure/index.js';
import type { TenonFit } from './tenonFit.js';

/**
 * Elements follow each other from the reference end (x = 0). Each begins at the diameter where the
 * one before ended, so neighbours always share it; only a shoulder (and the step that belongs to a
 * tenon or a square section) makes a break. Lengths run along the axis.
 */
export type Element =
  | ({ kind: 'cylinder'; length: Dimension } & ElementBase)
  | ({ kind: 'taper'; length: Dimension; endDiameter: Dimension } & ElementBase)
  /**
   * ridge, round or half an ellipse: rises to `crown` and comes back to where it began; `fillet` is the
   * width of a small flat left on each side of it, within its length
   */
  | ({
      kind: 'bead';
      length: Dimension;
      crown: Dimension;
      form?: 'round' | 'ellipse';
      fillet?: Dimension;
    } & ElementBase)
  /** round hollow: sinks to `bottom` and comes back to where it began */
  | ({ kind: 'cove'; length: Dimension; bottom: Dimension } & ElementBase)
  /**
   * two tangent arcs, one round and one hollow; `side` is that of the first, `turn` how far from its
   * beginning they meet (half-way when not given)
   */
  | ({
      kind: 'ogee';
      length: Dimension;
      endDiameter: Dimension;
      turn?: Dimension;
      side: 'out' | 'in';
    } & ElementBase)
  | ({ kind: 'shoulder'; endDiameter: Dimension } & ElementBase)
  /** hollow that runs out along the axis at its thinner end, to ease a step */
  | ({ kind: 'fillet'; length: Dimension; endDiameter: Dimension } & ElementBase)
  | ({ kind: 'v-groove'; length: Dimension; depth: Dimension } & ElementBase)
  /**
   * ball of `diameter` on necks of the diameter before and `endDiameter`; its length follows. `blend`
   * is the radius of a hollow that eases it into both necks.
   */
  | ({ kind: 'sphere'; diameter: Dimension; endDiameter: Dimension; blend?: Dimension } & ElementBase)
  /** ball that runs tangent into a cone, the ball `first` or last */
  | ({
      kind: 'balloon';
      length: Dimension;
      diameter: Dimension;
      endDiameter: Dimension;
      ball: 'first' | 'last';
    } & ElementBase)
  /** egg of revolution: an ellipse of `longAxis` along and `diameter` across, on its necks */
  | ({ kind: 'oval'; longAxis: Dimension; diameter: Dimension; endDiameter: Dimension } & ElementBase)
  /** arc of a given radius, bulging out or hollow */
  | ({
      kind: 'arc';
      length: Dimension;
      endDiameter: Dimension;
      radius: Dimension;
      side: 'out' | 'in';
    } & ElementBase)
  /** square left in the blank; a rolled shoulder rounds its corners over `roll` */
  | ({
      kind: 'square';
      length: Dimension;
      across: Dimension;
      endDiameter: Dimension;
      shoulder: 'square' | 'rolled';
      roll?: Dimension;
      /** what the faces that stay are left from */
      faces?: 'planed' | 'sawn';
    } & ElementBase)
  /** peg that fits a hole: its diameter follows from the hole and the fit */
  | ({ kind: 'tenon'; length: Dimension; hole: Dimension; fit: TenonFit } & ElementBase)
  /** smooth curve through points, monotone wherever the points are */
  | ({ kind: 'fair'; length: Dimension; endDiameter: Dimension; points: FairPoint[] } & ElementBase)
  /** a row of the same elements */
  | ({ kind: 'repeat'; times: number; elements: Element[] } & ElementBase);

export type ElementKind = Element['kind'];
export type ElementOf<K extends ElementKind> = Extract<Element, { kind: K }>;

/** A point of a fair curve: so far from where it begins, so thick. */
export interface FairPoint {
  at: Dimension;
  diameter: Dimension;
}

export type DimensionKey =
  | 'length'
  | 'endDiameter'
  | 'crown'
  | 'bottom'
  | 'depth'
  | 'diameter'
  | 'radius'
  | 'longAxis'
  | 'across'
  | 'hole'
  | 'fillet'
  | 'blend'
  | 'turn'
  | 'roll';

export interface ElementBase {
  /** stable, never reused within the pattern */
  id: string;
  /** the turner's word for it: collar, grip, tip */
  name?: string;
  /** allowed difference of the diameter at its end, ± mm; the default is that of a seen diameter */
  tolerance?: number;
  /** dimensions that stay when others are scaled: they meet hardware, a hole, a customer's part */
  held?: DimensionKey[];
  /** this element's length is what the others leave of the turning's total */
  takesUp?: boolean;
}
