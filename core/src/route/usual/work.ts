import type { OperationFigure } from '../figure.js';
import type { CrossOperation, DrillOperation } from '../../hardware/index.js';
import type { Layout } from '../../layout/index.js';
import type { Mount } from '../../mounting/index.js';
import {
  ringPart,
  type Hole,
  type Outline,
  type Part,
  type PartEnd,
  type SawnForm,
} from '../../pattern/index.js';
import type { Cut, SpeedChoice } from '../../turning/index.js';
import type { TurningStage } from '../../measure/index.js';
import type { Lengths } from '../operation.js';
import type { MadeOf, Shop } from '../shop.js';
import type { Spun } from '../spun.js';
import type { JoinToMake } from './joinToMake.js';

/** Hardware that goes into a piece or over it. */
export interface FitIn {
  id: string;
  kitId: string;
  end: PartEnd;
  when: 'before turning' | 'after the tenon' | 'at the end';
  /** it goes into a hole of its own */
  enters: boolean;
  /** how far from its end it hides the wood, mm; 0 for what goes in */
  covers: number;
  title: string;
  words: string[];
  /** what it meets, where that is drawn */
  figure?: OperationFigure;
  minutes: number;
  /** until it may be worked on, minutes; null when it holds at once */
  cureMinutes: number | null;
}

/** One coat of a finish, then its wait; minutes. */
export interface CoatOn {
  name: string;
  title: string;
  turning: boolean;
  fast: boolean;
  minutes: number;
  /** until the next coat; of the last one until it may be handled */
  waitMinutes: number;
}

/** A finished part that this one is glued onto before it is turned, and the stretch by which both are held then. mm */
export interface ShaftIn {
  join: JoinToMake;
  partId: string;
  elementId: string;
  /** from the reference end of the part that is turned */
  x0: number;
  x1: number;
  /** the shop when the shaft is made */
  made: Shop;
  lengths: Lengths;
}

/** All that the usual route of one part is made from: what is drawn, what it is made of, how it is held. Lengths mm. */
export interface Work {
  part: Part;
  outline: Outline;
  stock: SawnForm;
  madeOf: MadeOf;
  /** what it is sawn to: more than it is across afterwards where its faces are planed */
  sawn: number;
  mount: Mount;
  /** pieces that lie end to end in one blank, and the waste between two of them */
  perBlank: number;
  gap: number;
  /** it is turned wet: how long it takes to dry afterwards as far as that is known, minutes; null where it is dry */
  green: { dries: number | null } | null;
  /** what it is glued onto, where it is held by that */
  shaft: ShaftIn | null;
  /** how its centres are found, in words */
  centring: readonly string[];
  /** how far below its corners it is sawn before roughing, mm; null where they stay */
  clip: { below: number } | null;
  /** holes along the axis as they are drilled, those of the hardware among them */
  holes: readonly Hole[];
  /** how each is drilled, bit by bit, and each across */
  drilling: readonly DrillOperation[];
  across: readonly CrossOperation[];
  layout: Layout;
  /** how fast the lathe turns for a stage, the wood as it spins then, where it runs at a speed already */
  speedOf: (stage: TurningStage, spun: Spun | null, running: number | null) => SpeedChoice | null;
  /** how fast it turns when it is switched on and does not run round yet, rpm; null where a belt or a foot decides that */
  firstStart: number | null;
  /** of each hollow in a side, by its id: how fast what sweeps about its axis may go */
  sweptSpeeds: ReadonlyMap<string, readonly SpeedChoice[]>;
  fits: readonly FitIn[];
  /** hardware that is held against the wood before anything depends on it */
  trial: { end: PartEnd; words: string; figure?: OperationFigure } | null;
  /** elements that meet something else, or stay as the plane left them: never sanded */
  bare: ReadonlySet<string>;
  /** what each grit takes off the radius, and its minutes on one piece */
  sanding: readonly { grit: string; takes: number; minutes: number }[];
  /** rubbed with its own shavings instead of being sanded, or after it */
  burnish: boolean;
  coats: readonly CoatOn[];
  /** cuts in their order, the end far from the drive first */
  cuts: readonly Cut[];
  /** the centres of the workshop, for what is held between them before its own hold */
  centres: { drive: string; live: string };
  /** what is roughed and what is parted with */
  rougher: string;
  parter: { name: string; width: number };
}

/** The part with the holes its hardware asks for: what must be there at the end. */
export const goalOf = ({ part, holes }: Pick<Work, 'part' | 'holes'>): Part => ({
  ...part,
  holes: [...holes],
});

/** All that must be there at the end: the part, and the rings that come free round it. */
export const goalsOf = (work: Pick<Work, 'part' | 'holes' | 'outline'>): Part[] => [
  goalOf(work),
  ...(work.part.rings ?? []).map((ring) => ringPart(ring, work.outline, work.part.materialId)),
];

/** Taken off a sawn end that is drilled or that hardware sits on, to have it flat. */
const FACED = 1;

/** Where the piece lies in its blank: its reference end from the first sawn end, and what is left at both ends. */
export interface Lie {
  /** waste before the reference end and after the far end */
  before: number;
  after: number;
  drive: PartEnd;
  tail: PartEnd;
}

/**
 * A blank's first end is that of the part's reference end. What the blank is too long goes to the drive; on a
 * mandrel, where there is no waste at the drive, to the tail. A drilled end without waste is faced.
 * @param place which of the pieces in the blank, the one at the tail being 1
 */
export function lieOfPiece({ outline, stock, mount, holes, perBlank, gap }: Work, place = 1): Lie {
  const every = outline.length + gap;
  const extra = stock.length - perBlank * every + gap;
  const drive = mount.headstockEnd;
  const tail = drive === 'reference' ? 'far' : 'reference';
  const faced = (end: PartEnd) => (holes.some((h) => h.from === end) ? Math.min(FACED, extra) : 0);
  const atTail = mount.wasteDrive > 0 ? Math.max(mount.wasteTail, faced(tail)) : extra - faced(drive);
  const atDrive = extra - atTail;
  const [towardsTail, towardsDrive] = [(place - 1) * every, (perBlank - place) * every];
  return drive === 'reference'
    ? { before: atDrive + towardsDrive, after: atTail + towardsTail, drive, tail }
    : { before: atTail + towardsTail, after: atDrive + towardsDrive, drive, tail };
}
