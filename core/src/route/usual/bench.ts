import { len } from '../../measure/index.js';
import { extremes, type Outline, type PartEnd, type Segment, type Skin } from '../../pattern/index.js';
import type { TurningStage } from '../../measure/index.js';
import { datumPlace, endNow } from '../datum.js';
import { saidOf, type SaidProfile } from '../saidProfile.js';
import type { SetSpeed } from '../say/operationOf.js';
import { HIGH, LOW, Writer } from '../say/writer.js';
import { woodOf, type Datum, type SurfaceRef, type Treatment, type Wood } from '../shop.js';
import { spunIn } from '../spun.js';
import { surfaceBy } from '../surfaces.js';
import { each, MINUTES } from './minutes.js';
import { endNibOf, type EndNib } from './endNib.js';
import { between, turnedSegments } from './profiles.js';
import { lieOfPiece, type Lie, type Work } from './work.js';

/** Less waste at an end is faced away, not parted, mm. */
const LEAST_WASTE = 2;

/** From where to where a skin reaches along its wood, mm. */
export function reachOf({ axis, profile }: Skin): { x0: number; x1: number } {
  const xs = profile.flatMap((s) => [s.x0, s.x1]).map((x) => axis.at[0] + x * axis.along[0]);
  return { x0: Math.min(...xs), x1: Math.max(...xs) };
}

/** What the tip of an end is called. */
export const tipName = (end: PartEnd): string => `${end} tip`;

/** A hold that the piece can be taken out of and put back into. */
export interface ChainHold {
  /** takes hold of it, anew under a name of its own */
  take: (pass?: string, title?: string) => void;
  /** what drives holds alone: the tailstock may go away */
  alone: boolean;
}

/** The blank that is being worked on, with what is drawn in it. */
export class Bench {
  readonly writer: Writer;
  /** which of the pieces in the blank is worked on, the one at the tail being 1 */
  private place = 1;
  /** pieces that were cut out of the blank, by their place in it */
  private readonly cutOut = new Map<number, string>();
  /** both ends are sawn to length before it is turned: no waste, and no nib */
  endsSawn = false;
  /** what each end is left as while it is held from there */
  private readonly nibs = new Map<PartEnd, EndNib>();
  /** what it is held by bears light cuts only, from the first */
  lightCuts = false;
  /** the tail has left, and its end is done: it does not come back */
  tailGone = false;
  /** how fast the lathe was set last, rpm */
  private running: number | null = null;
  /** how it is held for turning; null on the bench */
  hold: ChainHold | null = null;

  constructor(readonly work: Work) {
    const { shaft, part, outline } = work;
    this.writer = new Writer(
      (id) => (shaft && id !== part.id ? shaft.lengths(id) : outline.length),
      shaft?.made,
    );
  }

  /** Where the piece that is worked on lies in its blank. */
  get lie(): Lie {
    return lieOfPiece(this.work, this.place);
  }

  /** The wood that the piece is in: the blank, until it was cut out of it. */
  get wood(): string {
    return this.cutOut.get(this.place) ?? `blank ${this.work.part.id}`;
  }

  /** Where each piece lies in the blank. mm */
  get lies(): Lie[] {
    return Array.from({ length: this.work.perBlank }, (_, i) => lieOfPiece(this.work, i + 1));
  }

  /** Does it for every piece of the blank, the one at the tail first; what is said is then said of that piece. */
  forEach(work: (place: number) => void): void {
    for (let place = 1; place <= this.work.perBlank; place++) {
      this.place = place;
      this.writer.place = this.work.perBlank === 1 ? null : place;
      work(place);
    }
    this.place = 1;
    this.writer.place = null;
  }

  /** Whether waste, not another piece, lies beyond the drive end of this one. */
  get isLast(): boolean {
    return this.place === this.work.perBlank;
  }

  /** Whether waste, not another piece, lies beyond an end of this one. */
  isOuter(end: PartEnd): boolean {
    return end === this.lie.drive ? this.isLast : this.place === 1;
  }

  /** What both sides of a cut at an end of the piece are called from then on; waste has no name. */
  apart(end: PartEnd): [low: string | null, high: string | null] {
    const beyond = end === this.lie.drive && !this.isLast ? this.wood : null;
    const own = beyond === null ? this.wood : `piece ${this.place} of ${this.wood}`;
    if (beyond !== null) this.cutOut.set(this.place, own);
    return end === 'reference' ? [beyond, own] : [own, beyond];
  }

  /** What is measured from at an end: what stands there, or the part's own face where a shaft stands out beyond it. */
  datum(end: PartEnd): Datum {
    const [side, along]: ['low' | 'high', Datum] = end === 'reference' ? ['low', LOW] : ['high', HIGH];
    return this.isPassed(side) ? { kind: 'finished', partId: this.work.part.id, n: 1, end, side } : along;
  }

  /** Whether something that was glued in stands out beyond an end of the blank. */
  private isPassed(side: 'low' | 'high'): boolean {
    const wood = this.work.shaft && woodOf(this.writer.shop, this.wood);
    if (wood?.body.form.kind !== 'joined') return false;
    const [x] = endNow(wood, side).at.at;
    return side === 'low' ? x < -1e-6 : x > this.work.stock.length + 1e-6;
  }

  /** The wood as it stands now. */
  get now(): Wood {
    const wood = woodOf(this.writer.shop, this.wood);
    if (!wood) throw new Error(`${this.wood} is not sawn yet.`);
    return wood;
  }

  /** Where an end of the blank stands now, x of its frame, mm. */
  standsAt(end: PartEnd): number {
    return datumPlace(this.now, this.datum(end), this.writer.lengths)?.at.at[0] ?? 0;
  }

  /** x of the blank's frame of a place of the part, mm. */
  x(ofPart: number): number {
    return this.lie.before + ofPart;
  }

  /** Waste that still stands beyond an end of the part, mm. */
  waste(end: PartEnd): number {
    return end === 'reference'
      ? this.lie.before - this.standsAt('reference')
      : this.standsAt('far') - this.x(this.work.outline.length);
  }

  /** Waste beyond an end of the part, as far as the next piece. mm */
  spare(end: PartEnd): number {
    const { lie, work } = this;
    const { gap } = work;
    const next = end === lie.drive ? !this.isLast : this.place > 1 && !this.cutOut.has(this.place - 1);
    return next ? gap : this.waste(end);
  }

  /** A place of the part as it is told now: from the end of the blank on the reference side, mm. */
  from(ofPart: number): number {
    return this.waste('reference') + ofPart;
  }

  /** A place of the part in words: from the end that stands now, and from the finished one while waste hides that. */
  where(ofPart: number): string {
    const waste = this.waste('reference');
    const first = this.isPassed('low') ? 'finished reference end' : 'first end';
    const now = waste + ofPart < 0.05 ? `at the ${first}` : `${len(waste + ofPart)} from the ${first}`;
    return waste < 0.05
      ? now
      : `${now}, ${ofPart < 0.05 ? 'where the finished one lies' : `${len(ofPart)} from the finished one`}`;
  }

  /** Drawn stretches as they are told now, from the end of the blank on the reference side. */
  told(segments: readonly Segment[]): SaidProfile {
    return saidOf(segments, this.datum('reference'), { x: this.waste('reference'), runs: 1 });
  }

  /** What is turned of an element while both ends are held; thinner than a nib at an end is left for later. */
  withoutTips(elementId: string): Segment[] {
    const { outline } = this.work;
    const all = turnedSegments(outline, elementId);
    return between(all, this.turnedFrom('reference'), this.turnedFrom('far'));
  }

  /** The tip that is left beyond an end's nib. */
  tip(end: PartEnd): Segment[] {
    const { segments, length } = this.work.outline;
    return end === 'reference'
      ? between(segments, 0, this.turnedFrom('reference'))
      : between(segments, this.turnedFrom('far'), length);
  }

  /** What an end is left as while it is held from there, and where the part is as thick as that. mm */
  nib(end: PartEnd): EndNib {
    const known = this.nibs.get(end) ?? endNibOf(this.work, end);
    this.nibs.set(end, known);
    return known;
  }

  /** Where the part begins to be turned, seen from an end; at the very end where nothing is parted there. mm */
  private turnedFrom(end: PartEnd): number {
    if (!this.endsSawn && this.lie[end === 'reference' ? 'before' : 'after'] > LEAST_WASTE)
      return this.nib(end).at;
    return end === 'reference' ? 0 : this.work.outline.length;
  }

  /** Whether a stretch of the part reaches into what is left for later at an end. mm */
  isInTip({ x0, x1 }: { x0: number; x1: number }): boolean {
    return x0 < this.turnedFrom('reference') - 1e-6 || x1 > this.turnedFrom('far') + 1e-6;
  }

  /** Largest diameter that is turned between two places of the part, mm. */
  widest(from: number, to: number): number {
    const { outline, part } = this.work;
    const rings = (part.rings ?? []).filter(
      ({ at, width }) => at.mm + width.mm / 2 > from && at.mm - width.mm / 2 < to,
    );
    return Math.max(extremes(outline, from, to).largest.diameter, ...rings.map((r) => r.across.mm));
  }

  get leave(): number {
    return this.work.sanding.reduce((sum, grit) => sum + grit.takes, 0);
  }

  /** How fast the lathe turns for a stage: by the wood as it stands in its hold, and by what the belt lies on. */
  speed(stage: TurningStage): SetSpeed | null {
    const { held } = this.writer.shop;
    const wood = held?.place === 'lathe' ? woodOf(this.writer.shop, held.wood) : undefined;
    // what lies across its axis goes by the circle of its ends
    const along = held !== null && Math.abs(held.axis.along[0]) > 0.5;
    const spun = wood && along ? spunIn(wood, held) : null;
    const choice = this.work.speedOf(stage, spun, this.running);
    if (!choice) return null;
    if (choice.rpm !== null && choice.rpm > 0) this.running = choice.rpm;
    return { turns: stage, words: choice.words, ...(choice.rpm === null ? {} : { rpm: choice.rpm }) };
  }

  /** What does not run round is switched on slowly and watched before it turns as fast as it is cut. */
  firstStart(because: string): string[] {
    const { firstStart } = this.work;
    return firstStart === null
      ? []
      : [`Switch on at ${firstStart} rpm, ${because}; no faster until it runs without shaking.`];
  }

  /** A short stretch amid what shaping an element left; null where it has none, or a square stays. */
  amid({ element }: Outline['spans'][number]): SurfaceRef | null {
    const skin = this.now.body.skins.find((s) => s.id === this.shapeId(element.id));
    if (!skin || element.kind === 'square') return null;
    const { x0, x1 } = reachOf(skin);
    const middle = (x0 + x1) / 2;
    const on: SurfaceRef = { of: 'skin', id: skin.id, x0: middle - 0.2, x1: middle + 0.2 };
    return x1 - x0 > 1 && surfaceBy(this.now, on) !== null ? on : null;
  }

  /** Whether a surface is still there between two places of the part. mm */
  stands({ of, id }: Pick<SurfaceRef, 'of' | 'id'>, from: number, to: number): boolean {
    const skin = this.now.body.skins.find((s) => s.id === id);
    const reach = skin ? reachOf(skin) : { x0: this.x(from), x1: this.x(to) };
    const [x0, x1] = [Math.max(this.x(from), reach.x0), Math.min(this.x(to), reach.x1)];
    return x1 - x0 > 0.01 && surfaceBy(this.now, { of, id, x0, x1 }) !== null;
  }

  /** The element at an end of the part. */
  endElement(end: PartEnd): string {
    const { spans } = this.work.outline;
    return (end === 'reference' ? spans[0] : spans.at(-1))?.element.id ?? '';
  }

  /** Whether an end is cut when its finish is on already: what was put on while it turned did not reach it. */
  isCutFinished(end: PartEnd): boolean {
    const { coats, bare } = this.work;
    return coats.some((c) => c.turning) && !bare.has(this.endElement(end)) && this.isTreated('coated');
  }

  /** Whether the piece that is worked on was treated so anywhere; others lie in the same blank. */
  isTreated(how: Treatment): boolean {
    const [low, high] = [this.x(0), this.x(this.work.outline.length)];
    return this.now.treated.some((t) => t.how === how && t.on.x0 < high - 1e-6 && t.on.x1 > low + 1e-6);
  }

  /** Whether a square runs out at an end of the part. */
  staysSquare(end: PartEnd): boolean {
    const { squares = [], length } = this.work.outline;
    return squares.some((s) => (end === 'reference' ? s.x0 < 0.01 : s.x1 > length - 0.01));
  }

  /** The name of the cut that shapes an element of this piece. */
  shapeId(elementId: string): string {
    return `shape:${this.writer.named(elementId)}`;
  }

  /** Whether the waste at an end was turned down so. */
  isTurned(doing: 'stub' | 'nib', end: PartEnd): boolean {
    const id = `${doing}:${this.writer.named(`${end} end`)}`;
    return this.now.body.skins.some((s) => s.id === id);
  }

  isShaped(elementId: string): boolean {
    return this.now.body.skins.some((s) => s.id === this.shapeId(elementId));
  }

  /** How a cut is made that presses hard as a rule. */
  get pressing(): { lightly?: true } {
    return this.lightCuts ? { lightly: true } : {};
  }

  /**
   * Something is done at the free end and then it is held as before: with the tailstock away where what drives
   * holds alone, off the lathe where it does not.
   */
  aside(name: string, work: () => void): void {
    const { hold, wood, writer } = this;
    if (hold === null || this.tailGone) return work();
    if (hold.alone) writer.tailAway('Tailstock away', name, each(MINUTES.tail));
    else writer.takeOff(wood, 'Take it off the lathe', name, each(MINUTES.tail));
    work();
    hold.take(name);
  }
}
