import type { SizingCut } from '../../layout/index.js';
import { extremes, radiusAt, type ElementSpan, type Outline } from '../../pattern/index.js';
import type { Cut } from '../../turning/index.js';
import type { Work } from './work.js';

/** Where the parting tool goes in to size a place: a stretch as wide as the tool, and what it is parted down to. mm */
export interface SizingPlace {
  elementId: string;
  station: { cut: SizingCut; elementId: string };
  x0: number;
  x1: number;
  /** finished diameter that the tool may not go below within its width */
  across: number;
}

/** Steeper places are left to the shaping tool: the parting tool would stop so far above them, on the diameter. mm */
const MOST_ABOVE = 2;

/**
 * Every place that is sized, in the order of cuts: the tool stands where it comes nearest to the wanted diameter
 * without going into what lies beside it. Two places closer than the tool is wide share one cut.
 */
export function sizingPlaces({ outline, layout, cuts, parter }: Work): SizingPlace[] {
  const found = layout.sizing.flatMap((cut) => {
    const place = placeOf(outline, cut, parter.width, cuts);
    return place && place.across - cut.finished <= MOST_ABOVE && !takesAnother(place, outline) ? [place] : [];
  });
  const order = new Map(cuts.map((c, i) => [c.elementId, i]));
  const inOrder = found
    .filter((p) => order.has(p.elementId))
    .sort(
      (a, b) =>
        // what something else must fit is sized for its own sake, whatever stands near it
        Number(b.station.cut.mating) - Number(a.station.cut.mating) ||
        (order.get(a.elementId) ?? 0) - (order.get(b.elementId) ?? 0),
    );
  return inOrder.filter(
    (place, i) =>
      !inOrder
        .slice(0, i)
        .some(
          (other) =>
            Math.abs(middle(other) - middle(place)) < parter.width &&
            Math.abs(other.across - place.across) < MOST_ABOVE,
        ),
  );
}

/** The tool would take another straight feature whole, and leave nothing of it to shape. */
const takesAnother = ({ elementId, x0, x1 }: SizingPlace, { spans }: Outline): boolean =>
  spans.some(
    (s) =>
      s.element.kind === 'cylinder' &&
      s.element.id !== elementId &&
      s.x1 > s.x0 &&
      s.x0 >= x0 - 1e-6 &&
      s.x1 <= x1 + 1e-6,
  );

const middle = ({ x0, x1 }: SizingPlace): number => (x0 + x1) / 2;

/** The feature that a station is of, where it touches the cut; its sanding decides what is left. */
const ownOf = (beside: readonly ElementSpan[], { id }: SizingCut): string =>
  (beside.find((s) => id.startsWith(`${s.element.id}.`)) ?? beside[0])?.element.id ?? '';

function placeOf(outline: Outline, cut: SizingCut, width: number, cuts: readonly Cut[]): SizingPlace | null {
  const w = Math.min(width, outline.length);
  // amid a feature the tool stands across its crown; at an edge beside it, on the side that is as thick as that
  const amid = outline.spans.some((s) => s.x0 < cut.x - 1e-6 && s.x1 > cut.x + 1e-6);
  const beginnings = amid ? [cut.x - w / 2, cut.x - w, cut.x] : [cut.x, cut.x - w, cut.x - w / 2];
  const stands = beginnings.map((from) => {
    const x0 = Math.min(Math.max(0, from), outline.length - w);
    const across = extremes(outline, x0, x0 + w).largest.diameter;
    return { x0, x1: x0 + w, across };
  });
  const sound = stands.filter((s) => s.across >= cut.finished - 1e-6);
  const best = sound.reduce<(typeof stands)[number] | null>(
    (least, s) => (least === null || s.across < least.across - 1e-6 ? s : least),
    null,
  );
  if (!best) return null;
  const at = (best.x0 + best.x1) / 2;
  // a place between two features is sized before the first of them is cut
  const beside = outline.spans.filter((s) => s.x1 > s.x0 && at >= s.x0 - 1e-6 && at <= s.x1 + 1e-6);
  // a square that stays is as large as its faces are planed
  if (outline.squares?.some((s) => s.x0 < (best?.x1 ?? 0) - 1e-6 && s.x1 > (best?.x0 ?? 0) + 1e-6))
    return null;
  const touching = outline.spans.filter((s) => s.x1 > s.x0 && cut.x >= s.x0 - 1e-6 && cut.x <= s.x1 + 1e-6);
  const first = cuts.find((c) => touching.some((s) => s.element.id === c.elementId));
  if (!first || radiusAt(outline, at) <= 0) return null;
  return { elementId: first.elementId, station: { cut, elementId: ownOf(beside, cut) }, ...best };
}
