import { extremes, type PartEnd, type Segment } from '../../pattern/index.js';
import { datumPlace } from '../datum.js';
import { saidOf, type SaidProfile } from '../say/cut.js';
import { HIGH, LOW, Writer } from '../say/writer.js';
import { woodOf, type Datum } from '../shop.js';
import { between, nibAt, turnedSegments } from './profiles.js';
import { lieOfPiece, type Lie, type Work } from './work.js';

/** Less waste at an end is faced away, not parted, mm. */
const LEAST_WASTE = 2;

/** The blank that is being worked on, with what is drawn in it. */
export class Bench {
  readonly writer: Writer;
  readonly lie: Lie;
  readonly wood: string;

  constructor(readonly work: Work) {
    this.lie = lieOfPiece(work);
    this.wood = `blank ${work.part.id}`;
    this.writer = new Writer(() => work.outline.length);
  }

  datum(end: PartEnd): Datum {
    return end === 'reference' ? LOW : HIGH;
  }

  /** Where an end of the blank stands now, x of its frame, mm. */
  standsAt(end: PartEnd): number {
    const wood = woodOf(this.writer.shop, this.wood);
    const place = wood && datumPlace(wood, this.datum(end), this.writer.lengths);
    return place?.at.at[0] ?? 0;
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

  /** Drawn stretches as they are told now, from the end of the blank on the reference side. */
  told(segments: readonly Segment[]): SaidProfile {
    return saidOf(segments, LOW, { x: this.waste('reference'), runs: 1 });
  }

  /** What is turned of an element while both ends are held; thinner than a nib at an end is left for later. */
  withoutTips(elementId: string): Segment[] {
    const { outline } = this.work;
    const all = turnedSegments(outline, elementId);
    return between(all, this.nib('reference'), this.nib('far'));
  }

  /** The tip that is left beyond an end's nib. */
  tip(end: PartEnd): Segment[] {
    const { segments, length } = this.work.outline;
    return end === 'reference'
      ? between(segments, 0, this.nib('reference'))
      : between(segments, this.nib('far'), length);
  }

  /** Where the part is as thick as a nib, seen from an end; at the very end where nothing is parted there. mm */
  private nib(end: PartEnd): number {
    const { outline } = this.work;
    if (this.lie[end === 'reference' ? 'before' : 'after'] > LEAST_WASTE) return nibAt(outline, end);
    return end === 'reference' ? 0 : outline.length;
  }

  /** Largest diameter that is turned between two places of the part, mm. */
  widest(from: number, to: number): number {
    return extremes(this.work.outline, from, to).largest.diameter;
  }

  get leave(): number {
    return this.work.sanding.reduce((sum, grit) => sum + grit.takes, 0);
  }
}
