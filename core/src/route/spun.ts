import { skinRadius } from '../pattern/index.js';
import { endNow } from './datum.js';
import { cutsOf, type Cuts } from './outsides.js';
import type { Grip, Held, Wood } from './shop.js';

/** What of the wood decides how fast it may turn, as it stands. */
export interface Spun {
  /** twice as far as the farthest wood lies from the axis it turns about, corners included; mm */
  across: number;
  /** free length over the thinnest diameter along it */
  slenderness: number;
}

/** So many places of the wood are looked at beside those where a cut is widest and thinnest. */
const PLACES = 24;

/** Beside a place a step may lie, mm. */
const BESIDE = 0.01;

/**
 * The wood as it spins in its hold. What is turned about an axis lies no farther from another one than both are apart more:
 * off-axis work is taken at its widest, never below it. Work that lies across its axis is not asked here.
 */
export function spunIn(wood: Wood, { axis, drive, tail }: Held): Spun {
  const [low, high] = [endNow(wood, 'low').at.at[0], endNow(wood, 'high').at.at[0]];
  const [from, to] = freeBetween(drive, tail, low, high);
  const cuts = cutsOf(wood.body, axis);
  // thin wood beside a centre that bears it does not whip: what hangs free is thinnest anywhere
  const borne = tail ? BORNE * (to - from) : 0;
  return {
    across: 2 * widest(cuts, low, high),
    slenderness: (to - from) / (2 * thinnest(cuts, from + borne, to - borne)),
  };
}

/** So much of the free length at either end bends little where both are borne; bench practice, typical. */
const BORNE = 0.1;

/** What stands nowhere farther than the widest that is known already need not be looked at. */
function widest({ stock, skins }: Cuts, low: number, high: number): number {
  let most = 0;
  const look = (x: number) => {
    if (x <= low || x >= high) return;
    let r = stock(x);
    for (const { skin, from, to, off, at, sign } of skins) {
      if (r <= most) return;
      if (x < from || x > to) continue;
      const own = skinRadius(skin, (x - at) * sign);
      if (own !== null) r = Math.min(r, own + off(x));
    }
    most = Math.max(most, r);
  };
  for (let i = 0; i <= PLACES; i++) look(low + BESIDE + ((high - low - 2 * BESIDE) * i) / PLACES);
  for (const { extremes, off } of skins) {
    const { x, r } = extremes.widest;
    if (r + off(x) <= most) continue;
    look(x - BESIDE);
    look(x + BESIDE);
  }
  return most;
}

/** Where a cut is thinnest nothing stands out beyond it; of one that reaches farther only what lies between counts. mm */
export const thinnest = ({ stock, skins }: Cuts, from: number, to: number): number =>
  skins.reduce(
    (least, { skin, from: x0, to: x1, at, sign, extremes, off }) => {
      const [low, high] = [Math.max(from, x0), Math.min(to, x1)];
      if (low > high + BESIDE) return least;
      const x = Math.min(Math.max(extremes.thinnest.x, low), high);
      const r = x === extremes.thinnest.x ? extremes.thinnest.r : skinRadius(skin, (x - at) * sign);
      return r === null ? least : Math.min(least, r + off(x));
    },
    stock((from + to) / 2),
  );

/** From where to where nothing holds it: between both grips, or from the drive to the end that is free. mm */
export function freeBetween(drive: Grip, tail: Grip | null, low: number, high: number): [number, number] {
  const middle = ({ on }: Grip) => (on.x0 + on.x1) / 2;
  const atLow = tail ? middle(drive) < middle(tail) : middle(drive) < (low + high) / 2;
  return atLow ? [drive.on.x1, tail ? tail.on.x0 : high] : [tail ? tail.on.x1 : low, drive.on.x0];
}
