import { threadOf } from '../../hardware/index.js';
import type { Fixture, Workshop } from '../../workshop/index.js';
import { DRAW_BAR, type Lack } from '../lack.js';

/** What keeps a holder in the headstock. */
interface DrawnIn {
  fixtures: string[];
  lack: Lack | false;
}

/** What sits in the spindle's taper can creep out and is drawn in by a bar; what screws onto the spindle cannot. */
export function drawnIn(holder: Fixture | undefined, { fixtures }: Workshop): DrawnIn {
  if (holder?.fits !== undefined && threadOf(holder.fits)) return { fixtures: [], lack: false };
  const bar = fixtures?.find((f) => f.kind === 'draw bar');
  return bar
    ? { fixtures: [`${bar.name} tight, so that the taper cannot creep out`], lack: false }
    : { fixtures: [], lack: DRAW_BAR };
}
