import { radiusAt, type Outline } from '../pattern/index.js';
import type { Cut } from './cuts.js';

/** How the wood is held while it is shaped. Lengths mm, stiffness along the grain MPa. */
export interface HeldForCutting {
  /** the part's end at the drive */
  drive: 'reference' | 'far';
  /** the tail holds the other end */
  tail: boolean;
  stiffness: number;
  /** diameter that it was roughed to, mm */
  rough: number;
}

/** How far the wood gives way under a feature while it is cut, mm, and which feature that was cut before lets it. */
export interface SoftCut {
  elementId: string;
  gives: number;
  because: string | null;
}

/** Sideways push of a light finishing cut, N: bench practice, typical, unchecked. */
export const CUT_FORCE = 20;
/** Stretches that the bending is added up over; the error falls with their square. */
const STRETCHES = 240;
/** Ends are left as thick as a nib until the last, mm on the radius. */
const NIB = 3;

/**
 * How far the wood gives way at the middle of each cut in turn, when what was cut before has its shape and the rest is
 * still as it was roughed. Unit-load method for a beam of round section: δ = F ∫ m(x)² / (E·I(x)) dx with
 * I = π·r⁴/4; m is the bending moment of a unit force at the cut, for a beam on two supports, or clamped at the drive
 * where no tail holds it (any textbook of strength of materials). Holes are not counted.
 */
export function softestCuts(outline: Outline, cuts: readonly Cut[], held: HeldForCutting): SoftCut[] {
  const step = outline.length / STRETCHES;
  const places = Array.from({ length: STRETCHES }, (_, i) => (i + 0.5) * step);
  const finished = places.map((x) => Math.max(NIB, radiusAt(outline, x)));
  const rough = held.rough / 2;
  const cutBy = new Array<string | null>(STRETCHES).fill(null);
  return cuts.map(({ elementId, x0, x1 }) => {
    const moment = momentAt((x0 + x1) / 2, outline.length, held);
    const byElement = new Map<string | null, number>();
    let gives = 0;
    places.forEach((x, i) => {
      const by = cutBy[i] ?? null;
      const r = by === null ? rough : Math.min(rough, finished[i] ?? rough);
      const share = (CUT_FORCE * moment(x) ** 2 * step) / (held.stiffness * ((Math.PI * r ** 4) / 4));
      gives += share;
      byElement.set(by, (byElement.get(by) ?? 0) + share);
    });
    byElement.delete(null);
    const because = [...byElement].reduce<[string | null, number]>(
      (most, [id, share]) => (share > most[1] ? [id, share] : most),
      [null, 0],
    )[0];
    places.forEach((x, i) => {
      if (x >= x0 && x <= x1) cutBy[i] = elementId;
    });
    return { elementId, gives, because };
  });
}

/** Bending moment at x of a unit force at a, mm: on two supports, or clamped at the drive. */
function momentAt(a: number, length: number, { drive, tail }: HeldForCutting): (x: number) => number {
  if (tail) return (x) => (x <= a ? ((length - a) / length) * x : (a / length) * (length - x));
  return drive === 'reference' ? (x) => Math.max(0, a - x) : (x) => Math.max(0, x - a);
}
