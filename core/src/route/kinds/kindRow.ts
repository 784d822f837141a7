import type { Stage } from '../../measure/index.js';
import type { OperationFigure } from '../figure.js';
import type { Effect } from '../effect.js';
import type { Said, SaidName } from '../said.js';
import type { Purpose } from '../shop.js';
import type { Place } from '../../workshop/index.js';

/** What cautions are tied to: kinds that put hands, eyes and lungs at the same risk. */
export type WorkKind =
  | 'sawing'
  | 'clipping'
  | 'drilling'
  | 'mounting'
  | 'roughing'
  | 'turning'
  | 'sanding'
  | 'coating'
  | 'joining'
  | 'bench work';

/**
 * What a decision and an id call it: several kinds that a person decides alike have one. It is stored with what was
 * recorded and decided, and stays as it is.
 */
export type Does =
  | 'saw'
  | 'mark'
  | 'bore'
  | 'join'
  | 'hold'
  | 'rough'
  | 'tenon'
  | 'size'
  | 'shape'
  | 'hollow'
  | 'stub'
  | 'nib'
  | 'face'
  | 'sanded'
  | 'burnished'
  | 'textured'
  | 'burnt'
  | 'dyed'
  | 'coated'
  | 'try'
  | 'measure'
  | 'part'
  | 'dry'
  | 'own';

/** What the figure of an operation is found in: what it says, what that changes, and what is timed in it. */
export interface Told {
  said: readonly Said[];
  effects: readonly Effect[];
  timers: readonly { label: string }[];
}

/** All that is known of a kind of operation, whatever it is done to. */
export interface KindRow {
  does: Does;
  /** what several of them are called that are done in one go; null: done on the way, a run is not called by it */
  called: string | null;
  /** the room of the work it belongs to, where its author says no other */
  stage: Stage;
  /** what the wood must be ready for */
  purpose: Purpose;
  work: WorkKind;
  /** it presses on what carries the wood as hard as roughing does */
  presses?: 'hard';
  /** what it leaves of the surface, where that is not what a cutting edge leaves */
  leaves?: 'roughed';
  /** its profile is told in its words, place by place */
  profile?: 'told';
  /** where it is done, and with what, when nothing holds the wood; on the bench when not said */
  unheld?: { place: Place; holding: string };
  /** the figures that it may say */
  says: readonly SaidName[];
  /** its one figure: what is set, cut to, drilled or sunk to; undefined where nothing is */
  figure: (told: Told) => OperationFigure | undefined;
}

/** The first figure of a name that is said; undefined where nobody says one. */
export const saidAs = ({ said }: Pick<Told, 'said'>, name: SaidName): Said | undefined =>
  said.find((s) => s.name === name);

/** Nothing is set, cut or measured off in it. */
export const noFigure = (): undefined => undefined;
