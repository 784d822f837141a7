import type { Stage, TurningStage } from '../measure/index.js';
import type { Place } from '../workshop/index.js';
import type { Body } from '../pattern/index.js';
import type { Effect } from './effect.js';
import type { OperationFigure } from './figure.js';
import type { OperationKind } from './kinds/operationKinds.js';
import type { Said } from './said.js';
import type { Timer } from './step.js';
import type { OpId, PieceIn, Purpose, Wood } from './shop.js';

/** An operation that must come first, what of it is needed, and how long what it began takes until then. */
export interface Lock {
  op: OpId;
  need: string;
  minutes?: number;
}

/** One thing that is done: what it says, and what that changes. What is alike in all of its kind stands in `kinds/`. */
export interface Operation {
  id: OpId;
  kind: OperationKind;
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
  /** its one figure; none has what sets or cuts nothing */
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
  /** how fast, where a motor turns it; 0 stands. Plans before engine 14 say it in words only */
  rpm?: number;
  /** spans to be timed within it */
  timers?: Timer[];
  /** stations whose readings belong to it */
  measures?: string[];
  minutes: { once: number; each: number };
}

/** A way to make an item, from bare stock or from any state of the shop. */
export interface Route {
  schema: 2;
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
