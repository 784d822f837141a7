import type { Stage, TurningStage } from '../measure/index.js';
import type { Place } from '../workshop/index.js';
import type { Body, Drilled, Flat, Placement, Skin } from '../pattern/index.js';
import type { OperationFigure } from './figure.js';
import type { Timer } from './step.js';
import type {
  Datum,
  Fixed,
  Held,
  OpId,
  PieceIn,
  Purpose,
  SurfaceRef,
  Treated,
  Treatment,
  Waiting,
  Wood,
} from './shop.js';

/** What an operation is, told apart by what it does to the wood. */
export type OperationKind =
  | 'saw'
  | 'mark'
  | 'bore'
  | 'join'
  | 'hold'
  | 'cut'
  | 'treat'
  | 'try'
  | 'measure'
  | 'part'
  | 'dry'
  | 'shop'
  /** in somebody's own words: what it does to the wood is not known */
  | 'own';

/** What a cut is for: each has its own tool, speed and place in the order. */
export type CutDoing = 'rough' | 'tenon' | 'size' | 'shape' | 'hollow' | 'stub' | 'nib' | 'face';

/** What taking hold does: the wood is held anew, only the tailstock leaves it, or it comes off. */
type HoldDoing = 'held' | 'tail away' | 'off';

/** A figure that is said: a length from a datum, or a diameter, depth or grit of its own. Shown and played. */
export interface Said {
  name: string;
  mm: number;
  from: Datum | null;
  /** whose datum it is, where it is not the first wood's */
  wood?: string;
}

/** A ring as it is undercut: from where to where along the axis, and its inside radius. mm */
interface FreeRing {
  x0: number;
  x1: number;
  r: number;
}

/** What an operation does to the shop, as plain data; nothing in it knows the drawing. */
export type Effect =
  | { do: 'stock'; wood: Wood }
  /** what is not turned is carved by hand */
  | { do: 'cut'; wood: string; skin: Skin; through: 'nothing' | 'treated'; turning: boolean; lightly?: true }
  /** what is sawn is held by fence and cradle */
  | { do: 'flat'; wood: string; flat: Flat; sawn?: true }
  | { do: 'drill'; wood: string; hole: Drilled }
  /** both sides of a plane go on as woods of their own; a side that is null is waste */
  | {
      do: 'split';
      wood: string;
      at: Placement;
      into: [low: string | null, high: string | null];
      lightly?: true;
    }
  /** a ring comes free round the wood it is turned from; both keep their frame */
  | { do: 'free'; wood: string; axis: Placement; ring: FreeRing; into: string; piece: PieceIn }
  /** `enters` goes into a hole that must be there */
  | { do: 'fix'; wood: string; fixed: Fixed; enters?: true }
  /** another piece like it is fetched: its parts lie in it as they do in the first */
  | { do: 'another'; like: string; wood: string; n: number }
  | { do: 'join'; into: string; of: { wood: string; at: Placement }[] }
  | { do: 'hold'; held: Held | null; untrue: boolean }
  /** `turning` is done while it spins */
  | { do: 'treat'; wood: string; treated: Treated; takes: number; turning: boolean }
  /** surfaces are felt, measured or tried against something; the wood stays as it is */
  | { do: 'look'; wood: string; on: SurfaceRef[] }
  | { do: 'wait'; wait: Waiting }
  | { do: 'dry'; wood: string; moisture: Wood['moisture'] };

/** An operation that must come first, what of it is needed, and how long what it began takes until then. */
export interface Lock {
  op: OpId;
  need: string;
  minutes?: number;
}

/** One thing that is done: what it says, and what that changes. */
export interface Operation {
  id: OpId;
  kind: OperationKind;
  /** of a cut what it is for, of a treatment what it does */
  doing?: CutDoing | Treatment;
  /** of a hold what becomes of it; plans before engine 13 have none */
  hold?: HoldDoing;
  /** what it is about: an element, a hole, a kit, a join; null for the wood as a whole */
  subject: string | null;
  /** woods it is done to */
  on: string[];
  per: 'piece' | 'blank' | 'group' | 'all';
  /** of several pieces in one blank the one it is done for; it is done to the blank when not said */
  place?: number;
  title: string;
  words: string[];
  said: Said[];
  /** the one figure of it; operations of plans before engine 13 have none, and none has what sets or cuts nothing */
  figure?: OperationFigure;
  effects: Effect[];
  /** what the work must be ready for: a cure keeps some things from being done and not others */
  purpose: Purpose;
  tool?: string;
  /** where it is done, when that is not where the wood is held */
  at?: Place;
  /** what drawn it makes, as its author says: ids of elements, holes, lines */
  makes?: string[];
  /** the room of the work it belongs to */
  stage: Stage;
  /** what the lathe turns for and how fast, in words; plans before engine 13 say only how fast */
  turns?: TurningStage;
  speed?: string;
  /** spans to be timed within it */
  timers?: Timer[];
  /** stations whose readings belong to it */
  measures?: string[];
  minutes: { once: number; each: number };
}

/** Whether only the tailstock goes away; in plans before engine 13 the subject says so. */
export const takesTailAway = ({ kind, hold, subject }: Operation): boolean =>
  kind === 'hold' && (hold ?? subject) === 'tail away';

/** A way to make an item, from bare stock or from any state of the shop. */
export interface Route {
  schema: 1;
  operations: Operation[];
}

/** Finished lengths of the parts that a route makes, mm: where the ends of a piece lie in its wood. */
export type Lengths = (partId: string) => number;

/** The body of a wood with its joined parts taken for themselves: what is left of one of them. */
export const bodyOfPart = (body: Body, woodId: string): Body =>
  body.form.kind !== 'joined'
    ? body
    : { ...body, form: { ...body.form, of: body.form.of.filter((o) => o.id === woodId) } };

/** The wood that a piece was in before it was glued to others. */
export function sourceOf(wood: Wood, piece: PieceIn): string {
  const { form } = wood.body;
  if (form.kind !== 'joined') return wood.id;
  return form.of[wood.pieces.indexOf(piece)]?.id ?? wood.id;
}
