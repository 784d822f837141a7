import type { BatchPiece } from './lots.js';

/** All that was recorded on a piece, as it stands. */
export interface PieceProgress extends BatchPiece {
  /** step → instant (ms) at which it was done */
  done: Map<string, number>;
  /** step → event that said so last */
  doneBy: Map<string, string>;
  started: Map<string, number>;
  /** timer → instant (ms) at which it was begun */
  timers: Map<string, number>;
  overridden: Set<string>;
  tried: Map<string, boolean>;
  /** acceptance check → whether it held when it was last made */
  checked: Map<string, boolean>;
  rejected: { eventId: string; stepId: string; cause: string; at: string } | null;
  /** places in its blank where nothing is made any more: what was to be done there holds nothing up */
  given: Set<number>;
  /** sizes that it keeps as they came out, by station, mm */
  keeps: Map<string, number>;
  /** how it was mended, oldest first */
  mends: { stepId: string; why: string; at: string }[];
  /** what was noted on it, oldest first */
  notes: { stepId: string; words: string; photo?: string; at: string }[];
  /** join → numbers of the pieces that were put to this one in it */
  joined: Map<string, number[]>;
  /** number of the piece that carries the item it is a part of; null while it is by itself */
  carriedBy: number | null;
  /** pieces of other parts that are joined to it, or that would be next, by their part */
  partners: ReadonlyMap<string, readonly PieceProgress[]>;
}
