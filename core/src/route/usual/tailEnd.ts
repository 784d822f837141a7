import { carries, FORCES, STRENGTHS, type Force } from '../../stiffness/index.js';
import { leastRound, STUB } from '../../mounting/index.js';
import { PART_ENDS, wallOf } from '../../pattern/index.js';
import type { Bench } from './bench.js';
import { sectionsOf, standsAlone, type DrawnSection } from './endNib.js';
import { freeTail, hasNib, nib, stub } from './ends.js';
import { turn } from './turn.js';
import { coat, surface } from './surface.js';

/** What is done at the end of a piece that is held by the tail, as what carries it feels it. */
interface EndWork {
  force: Force;
  /** how far from the axis, mm */
  r: number;
  /** nothing at the tail: it bends what it hangs on */
  free: boolean;
}

/** With the tail up its waste is parted down to a nib: from as thick as it was roughed, or from its stub. */
const partedDown = (from: number, force: Force = 'heavy'): EndWork => ({
  force,
  r: from,
  free: false,
});

/** With the tail away its tip is turned, its waste cut off and its hollow cut, lightly. */
function cutFreely(bench: Bench): EndWork {
  const { work, lie } = bench;
  const mouths = (work.part.hollows ?? [])
    .filter((h) => h.opens === lie.tail)
    .flatMap((h) => wallOf(h).segments.map((s) => Math.max(s.r0, s.r1)));
  return { force: 'light', r: Math.max(stubRadius(bench), ...mouths), free: true };
}

const stubRadius = (bench: Bench): number => Math.max(STUB, bench.nib(bench.lie.tail).diameter) / 2;

/** Radius that it was roughed to, mm; somewhat more than is drawn, and never thinner than a centre wants. */
const roughed = (bench: Bench): number =>
  Math.max(bench.widest(0, bench.work.outline.length) / 2 + ROUGHED, leastRound(bench.work.mount) / 2);
const ROUGHED = 1;

/** Drawn places that may be the weakest, and where a tip that is cut later leaves off. */
function standing(bench: Bench): DrawnSection[] {
  const { outline } = bench.work;
  const [low, high] = [bench.nib('reference').at, bench.nib('far').at];
  const nibs = PART_ENDS.filter((end) => bench.tip(end).length > 0).map((end) => {
    const { at, diameter } = bench.nib(end);
    const span = outline.spans.find((s) => s.x1 > s.x0 && at >= s.x0 && at <= s.x1);
    return { x: at, elementId: span?.element.id ?? '', diameter, bore: 0 };
  });
  return [...sectionsOf(bench.work).filter(({ x }) => x >= low && x <= high), ...nibs, ...joints(bench)];
}

/** Between a piece and the next one towards the drive there is a nib, which carries the first. */
function joints(bench: Bench): DrawnSection[] {
  if (bench.isLast) return [];
  const { drive } = bench.lie;
  const diameter = Math.min(bench.nib('reference').diameter, bench.nib('far').diameter);
  return [{ x: bench.nib(drive).at, elementId: bench.endElement(drive), diameter, bore: 0 }];
}

/** Whether the elements that are shaped bear what is done at the tail's end of the piece. */
function bears(bench: Bench, shaped: ReadonlySet<string>, { force, r, free }: EndWork): boolean {
  const { work, lie } = bench;
  const edge = lie.tail === 'far' ? work.outline.length : 0;
  const loadAt = (x: number) => ({
    torque: FORCES[force] * r,
    moment: free ? FORCES[force] * Math.abs(edge - x) : 0,
  });
  return standing(bench)
    .filter(({ elementId }) => shaped.has(elementId))
    .every((s) => carries(s, loadAt(s.x), STRENGTHS[work.madeOf.class]));
}

/** Whether a whole piece bears what is done at its tail. */
const wholeBears = (bench: Bench, work: EndWork): boolean =>
  bears(bench, new Set(bench.work.outline.spans.map((s) => s.element.id)), work);

/** Whether a whole piece bears that the waste beyond it is parted down from as thick as it was roughed. */
export const bearsParting = (bench: Bench): boolean => wholeBears(bench, partedDown(roughed(bench)));

/**
 * Before an element is cut as thin as it is drawn: what is done at the tail while the wood between it and the drive still
 * carries that.
 * @param leaves whether the tail may leave before all is shaped
 */
export function inTime(bench: Bench, leaves: boolean): (elementId: string) => void {
  const { tail } = bench.lie;
  const shaped = new Set<string>();
  // a further axis bends what is turned down: there the waste stays as thick as it is
  const needsStub =
    hasNib(bench, tail) &&
    bench.work.part.turnings.length === 1 &&
    roughed(bench) > stubRadius(bench) + ROUGHED;
  return (elementId) => {
    shaped.add(elementId);
    if (needsStub && !bench.tailGone && !bench.isTurned('stub', tail))
      if (!bears(bench, shaped, partedDown(roughed(bench)))) stub(bench, tail);
    if (leaves && !bears(bench, shaped, cutFreely(bench))) freeTail(bench);
  };
}

/** The waste at the tail of a piece that is shaped is parted down as far as what carries it bears; a saw does the rest. */
export function tailNib(bench: Bench): void {
  const { tail } = bench.lie;
  if (!hasNib(bench, tail)) return;
  const from = bench.isTurned('stub', tail) ? stubRadius(bench) : roughed(bench);
  const force = (['heavy', 'light'] as const).find((f) => wholeBears(bench, partedDown(from, f)));
  if (force && bench.nib(tail).diameter < 2 * from) nib(bench, tail, force === 'light');
}

/** Whether something opens in the end at the tail. */
const opensAtTail = ({ work, lie }: Bench): boolean =>
  (work.part.hollows ?? []).some((h) => h.opens === lie.tail);

/** Whether the tail leaves at all before the end: several in one blank are parted off one after the other without it. */
const tailLeaves = (bench: Bench): boolean =>
  opensAtTail(bench) || bench.work.perBlank > 1 || standsAlone(bench.work);

/**
 * Shaped, sanded and finished in a hold that drives alone. The tail leaves when its end has to be done, before the first
 * grit: all of the piece gets the same. Where nothing is to be done there it stays through sanding, and to the last where
 * the piece does not stand without it.
 * @returns whether the tail has left
 */
export function turnHeld(bench: Bench, afterShaping: () => void = () => {}): boolean {
  const leaves = tailLeaves(bench);
  const early = leaves && (opensAtTail(bench) || bench.waste(bench.lie.tail) > 1e-6);
  turn(bench, inTime(bench, early));
  afterShaping();
  if (early) freeTail(bench);
  surface(bench);
  if (leaves) freeTail(bench);
  coat(bench, true);
  return leaves;
}
