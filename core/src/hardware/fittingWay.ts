import type { Kit } from './kit.js';
import { threadOf } from './thread.js';

/** A legitimate way of fitting a kit: they differ in what can be undone, what must be waited for, and what is needed. */
export type FittingWay = 'insert' | 'thread in wood' | 'glued' | 'pressed';
export const FITTING_WAYS: readonly FittingWay[] = ['insert', 'thread in wood', 'glued', 'pressed'];

/** One way of fitting a kit, with what speaks for it and against it. */
export interface KitWay {
  way: FittingWay;
  label: string;
  gains: string;
  costs: string;
}

const INSERT: KitWay = {
  way: 'insert',
  label: 'Into a glued insert',
  gains: 'The base can be taken off and changed for ever; the piece is turned on its own mandrel.',
  costs: 'An insert for each piece, and its glue must cure before anything is turned.',
};
const IN_WOOD: KitWay = {
  way: 'thread in wood',
  label: 'Its thread straight into the wood',
  gains: 'No insert, no wait; it can be taken off a few times.',
  costs: 'The hole must be right for the wood; in soft wood and end grain the thread wears out.',
};
const GLUED: KitWay = {
  way: 'glued',
  label: 'Glued for good',
  gains: 'Forgiving of the hole, and the strongest.',
  costs: 'Nothing can be changed afterwards; the glue cures at the end.',
};
const PRESSED: KitWay = {
  way: 'pressed',
  label: 'Pressed in dry',
  gains: 'No glue, no wait; it can be driven out again.',
  costs: 'The hole must be right to a tenth, and thin walls split.',
};

/** The ways in which a kit can be fitted, its usual one first. */
export function kitWays(kit: Kit): [KitWay, ...KitWay[]] {
  switch (kit.kind) {
    case 'tapped-insert':
      // without its insert the base's own stud goes in: its size must be known from the thread
      return threadOf(kit.thread) ? [INSERT, IN_WOOD, GLUED] : [INSERT];
    case 'self-tapping-stud':
      return [IN_WOOD, GLUED];
    case 'screw-eye':
    case 'threaded-insert':
      return [IN_WOOD];
    case 'ferrule':
    case 'tang':
    case 'ring':
      return [GLUED, PRESSED];
    case 'tapered-shank':
      return [PRESSED, GLUED];
    case 'rod':
      return kit.fit === 'press' ? [PRESSED, GLUED] : [GLUED, PRESSED];
    case 'ball':
      return [GLUED, PRESSED];
    case 'socket':
    case 'cord':
      return [PRESSED];
    case 'glue-in-stud':
    case 'head':
      return [GLUED];
  }
}

/** The wished way when the kit can be fitted so, else its usual one. */
export function wayOf(kit: Kit, wished: FittingWay | undefined): FittingWay {
  const ways = kitWays(kit);
  return (ways.find((w) => w.way === wished) ?? ways[0]).way;
}
