import type { Dimension } from '../measure/index.js';
import type { GlueKind } from '../workshop/index.js';
import type { FitClass } from './fit.js';

interface KitBase {
  id: string;
  name: string;
  /** how many are on the shelf */
  onHand: number;
  /** what one costs, minor units */
  cost?: number;
  /** below this many it is to be ordered again */
  reorderAt?: number;
}

/** What every stopper base has: its face against the wood, the neck it stops, a disc for wider tops. */
interface StopperBase extends KitBase {
  /** the turned body must meet this flush */
  baseDiameter: Dimension;
  neckDiameter?: Dimension;
  /** wider disc between base and wood: then the wood meets the disc */
  discDiameter?: Dimension;
  discThickness?: Dimension;
}

/** Stopper base that screws into an insert: the insert is glued into a hole of its body's diameter. */
interface TappedInsertKit extends StopperBase {
  kind: 'tapped-insert';
  insertDiameter: Dimension;
  insertLength: Dimension;
  /** thread inside the insert, matched with a mandrel's */
  thread: string;
  glue: GlueKind;
}

/** Stopper base with a stud that cuts its own thread in the wood. */
interface SelfTappingKit extends StopperBase {
  kind: 'self-tapping-stud';
  /** thread of the stud: root and outside diameter */
  rootDiameter: Dimension;
  outsideDiameter: Dimension;
  studLength: Dimension;
  thread: string;
}

/** Stopper base with a plain stud that is glued in for good. */
interface GlueInStudKit extends StopperBase {
  kind: 'glue-in-stud';
  studDiameter: Dimension;
  studLength: Dimension;
  glue: GlueKind;
}

/** Ferrule over a tenon, with a hole for the tang. */
interface FerruleKit extends KitBase {
  kind: 'ferrule';
  bore: Dimension;
  outsideDiameter: Dimension;
  length: Dimension;
  tangDiameter: Dimension;
  tangLength: Dimension;
  glue: GlueKind;
}

/** Ring or cap over a tenon, nothing enters the wood. */
interface RingKit extends KitBase {
  kind: 'ring';
  bore: Dimension;
  outsideDiameter: Dimension;
  length: Dimension;
  glue: GlueKind;
}

/** Scoop, server or tip: a head whose end the wood blends into, on a plain stem. */
interface HeadKit extends KitBase {
  kind: 'head';
  endDiameter: Dimension;
  stemDiameter: Dimension;
  stemLength: Dimension;
  glue: GlueKind;
}

/** Bare tang, round or square, straight or tapered: `across` its flats when it is square. */
export interface TangKit extends KitBase {
  kind: 'tang';
  section: 'round' | 'square';
  shoulderAcross: Dimension;
  tipAcross: Dimension;
  tangLength: Dimension;
  /** bolster that the wood meets flush */
  bolsterDiameter?: Dimension;
  glue: GlueKind;
}

/** Round tapered shank that sits in a reamed socket in the wood. */
interface TaperedShankKit extends KitBase {
  kind: 'tapered-shank';
  mouthDiameter: Dimension;
  tipDiameter: Dimension;
  shankLength: Dimension;
  glue: GlueKind;
}

/** Hollow taper of the hardware that goes over a cone on the wood. */
interface SocketKit extends KitBase {
  kind: 'socket';
  mouthDiameter: Dimension;
  bottomDiameter: Dimension;
  socketDepth: Dimension;
}

/** Plain rod or dowel let into the wood. */
interface RodKit extends KitBase {
  kind: 'rod';
  diameter: Dimension;
  length: Dimension;
  fit: Exclude<FitClass, 'thread-forming' | 'clearance'>;
  glue: GlueKind;
}

/** Ball set into a tip. */
interface BallKit extends KitBase {
  kind: 'ball';
  diameter: Dimension;
  seatDepth: Dimension;
  glue: GlueKind;
}

/** Screw eye or hook: its thread cuts its own way. */
interface ScrewEyeKit extends KitBase {
  kind: 'screw-eye';
  rootDiameter: Dimension;
  outsideDiameter: Dimension;
  threadLength: Dimension;
}

/** Cord through the axis, its knot let in when there is a recess for it. */
interface CordKit extends KitBase {
  kind: 'cord';
  diameter: Dimension;
  knotDiameter?: Dimension;
}

/** Threaded insert that screws into the wood by its own coarse thread. */
interface ThreadedInsertKit extends KitBase {
  kind: 'threaded-insert';
  rootDiameter: Dimension;
  outsideDiameter: Dimension;
  insertLength: Dimension;
  /** thread inside it, metric or inch */
  thread: string;
}

/** Hardware of the workshop's own generic kinds, with the measurements that matter. */
export type Kit =
  | TappedInsertKit
  | SelfTappingKit
  | GlueInStudKit
  | FerruleKit
  | RingKit
  | HeadKit
  | TangKit
  | TaperedShankKit
  | SocketKit
  | RodKit
  | BallKit
  | ScrewEyeKit
  | CordKit
  | ThreadedInsertKit;

export type KitKind = Kit['kind'];
export type KitOf<K extends KitKind> = Extract<Kit, { kind: K }>;

type WithoutId<K> = K extends Kit ? Omit<K, 'id'> : never;

/** A kit that has no id yet. */
export type NewKit = WithoutId<Kit>;
