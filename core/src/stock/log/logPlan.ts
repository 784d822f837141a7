import { len, type Finding } from '../../measure/index.js';
import type { Sawing } from '../../workshop/index.js';
import { fitsInto } from '../cutting/cutInput.js';
import type { Log } from '../stockItem.js';
import { packSector, type CrossSection, type Point } from './section.js';
import { packSquares } from './squares.js';

export const BILLET_FORMS = ['round', 'square'] as const;
export type BilletForm = (typeof BILLET_FORMS)[number];

/** Billets that are wanted of a log, green, mm. */
export interface BilletWish {
  form: BilletForm;
  /** of a round one its diameter, of a square one its side */
  diameter: number;
  /** left round each for the axe: they touch neither each other nor the bark */
  hewing: number;
  length: number;
  /** nothing nearer to the pith than this */
  pithClearance: number;
  /** sapwood stays off the billets */
  heartOnly: boolean;
}

/** A length of log that is split on its own: where it begins from the butt, and its thin end's diameter. */
export interface Bolt {
  from: number;
  length: number;
  diameter: number;
}

/** One way to split a log, with what it gives. */
export interface LogWay {
  sectors: number;
  /** direction of the first split, degrees */
  angle: number;
  /** billets of each bolt */
  perBolt: number[];
  total: number;
  /** what is left of the total when every split runs off its line by the workshop's drift */
  drifted: number;
  /** billets in the thinnest bolt, by sector, mm from the middle; square ones with the direction of their sides */
  billets: (Point & { turned?: number })[][];
  /** splits in the order they are made */
  splits: string[];
}

export interface LogPlan {
  bolts: Bolt[];
  /** the best first: most billets, then fewest splits */
  ways: LogWay[];
  findings: Finding[];
}

const WAYS = [2, 3, 4, 6, 8, 12];
/** Directions of the first split that are tried within one sector. */
const DIRECTIONS = 6;

/** Every way to split a log into billets, compared. The pith lies in every split, so none runs through a billet. */
export function logPlan(log: Log, wish: BilletWish, sawing: Sawing): LogPlan {
  const findings = logFindings(log, wish, sawing);
  if (findings.some((f) => f.severity === 'stop')) return { bolts: [], ways: [], findings };
  const bolts = boltsOf(log, wish, sawing);
  const sections = bolts.map((bolt) => sectionOf(bolt, log, wish));
  const ways = WAYS.map((sectors) => wayOf(sectors, sections, log, wish, sawing)).sort(
    (a, b) => b.total - a.total || a.sectors - b.sectors,
  );
  return { bolts, ways, findings };
}

/** Area of a round of radius 1 over that of a billet of size 1. */
const AREA: Record<BilletForm, number> = { round: 4, square: Math.PI };

/** What a billet takes up on the end of the log, mm. */
const takenUp = ({ diameter, hewing }: BilletWish): number => diameter + 2 * hewing;

/** More billets than this have no room in a log, by the wood alone: no layout is worked out. */
export function mostBillets(log: Log, wish: BilletWish, sawing: Sawing): number {
  const inside = (bolt: Bolt) => sectionOf(bolt, log, wish).radius;
  return boltsOf(log, wish, sawing).reduce(
    (sum, bolt) => sum + Math.floor((AREA[wish.form] * inside(bolt) ** 2) / wish.diameter ** 2),
    0,
  );
}

/** Lengths for one billet each, from the butt, between trimmed ends. */
function boltsOf(log: Log, wish: BilletWish, sawing: Sawing): Bolt[] {
  const room = log.length.mm - 2 * sawing.endTrim;
  const count = fitsInto(room, wish.length, sawing.crossKerf);
  return Array.from({ length: count }, (_, i) => {
    const from = sawing.endTrim + i * (wish.length + sawing.crossKerf);
    const thin =
      Math.max(log.buttDiameter.mm, log.topDiameter.mm) === log.buttDiameter.mm ? from + wish.length : from;
    const share = thin / log.length.mm;
    return {
      from,
      length: wish.length,
      diameter: log.buttDiameter.mm + (log.topDiameter.mm - log.buttDiameter.mm) * share,
    };
  });
}

/** The pith keeps its place in proportion to the diameter along the log. */
function sectionOf(bolt: Bolt, log: Log, wish: BilletWish): CrossSection {
  const share = bolt.diameter / log.buttDiameter.mm;
  return {
    radius: bolt.diameter / 2 - (wish.heartOnly ? log.sapwood.mm : 0),
    pith: { x: log.pith.x * share, y: log.pith.y * share },
    clearance: wish.pithClearance,
  };
}

function wayOf(
  sectors: number,
  sections: readonly CrossSection[],
  log: Log,
  wish: BilletWish,
  sawing: Sawing,
): LogWay {
  const step = 360 / sectors;
  // the line through pith and middle parts the log evenly
  const even = (Math.atan2(log.pith.y, log.pith.x) * 180) / Math.PI;
  const layout = (angle: number) => sections.map((section) => billetsOf(section, sectors, angle, wish, 0));
  const { angle, billets } = Array.from({ length: DIRECTIONS }, (_, i) => even + (i * step) / DIRECTIONS)
    .map((a) => ({ angle: a, billets: layout(a) }))
    .reduce((a, b) => (countAll(b.billets) > countAll(a.billets) ? b : a));
  const drift = (sawing.splitDrift * wish.length) / 1000;
  const drifted = sections.map((s) => billetsOf(s, sectors, angle, wish, drift));
  return {
    sectors,
    angle: ((angle % 360) + 360) % 360,
    perBolt: billets.map((b) => countAll([b])),
    total: countAll(billets),
    drifted: countAll(drifted),
    billets: billets[billets.length - 1] ?? [],
    splits: splitsOf(sectors, angle === even, Math.max(...billets.flat().map((b) => b.length)), wish.form),
  };
}

const countAll = (bolts: readonly Point[][][]): number =>
  bolts.reduce((sum, sectors) => sum + sectors.reduce((s, billets) => s + billets.length, 0), 0);

/** Billets in every sector, when each split runs off into the sector on its left; its other side gains nothing. */
function billetsOf(
  section: CrossSection,
  sectors: number,
  angle: number,
  wish: BilletWish,
  drift: number,
): LogWay['billets'] {
  const step = 360 / sectors;
  return Array.from({ length: sectors }, (_, i) => {
    const sector = { from: angle + i * step, to: angle + (i + 1) * step, fromOffset: drift, toOffset: 0 };
    return wish.form === 'square'
      ? packSquares(section, sector, takenUp(wish))
      : packSector(section, sector, takenUp(wish) / 2);
  });
}

/** Splits in order: always the piece in equal halves, so that the split does not run to the lighter side. */
function splitsOf(sectors: number, even: boolean, perSector: number, form: BilletForm): string[] {
  const splits = openings(sectors, even);
  return perSector > 1
    ? [
        ...splits,
        form === 'square'
          ? 'Then saw each piece into slabs along the rows that are drawn, and the slabs into squares.'
          : 'Then saw or hew the billets out of each piece along the circles that are drawn.',
      ]
    : splits;
}

function openings(sectors: number, even: boolean): string[] {
  const first = even
    ? 'First through the pith along the line to the middle: both halves weigh the same, so the split runs true.'
    : 'First through the pith in the direction that is drawn; the halves differ, so watch that it does not run to the lighter one.';
  if (sectors === 2) return [first];
  if (sectors === 3)
    return ['From the pith outwards, three splits; open the first two a little at a time, in turn.'];
  const thirds = sectors % 3 === 0;
  const splits = [first];
  if (thirds) splits.push('Then each half into thirds, from the pith outwards.');
  for (let n = thirds ? 6 : 2; n < sectors; n *= 2)
    splits.push(
      `Then each ${n === 2 ? 'half' : n === 4 ? 'quarter' : 'piece'} in two, from the pith outwards.`,
    );
  return splits;
}

/** Why a log cannot give such billets at all. */
export function logFindings(log: Log, wish: BilletWish, sawing: Sawing): Finding[] {
  const butt = log.buttDiameter.mm;
  const thin = Math.min(butt, log.topDiameter.mm);
  const off = Math.hypot(log.pith.x, log.pith.y);
  const find = (id: string, what: string, why: string, remedy: string): Finding => ({
    id: `stock.log.${id}`,
    severity: 'stop',
    stage: 'stock',
    what,
    why,
    remedy,
  });
  const found: Finding[] = [];
  if (off >= butt / 2)
    found.push(
      find(
        'pith',
        `The pith lies ${len(off)} from the middle; the butt is ${len(butt)} across.`,
        'It would lie outside the log.',
        `Measure it from the middle of the butt: less than ${len(butt / 2)}.`,
      ),
    );
  if (wish.length + 2 * sawing.endTrim > log.length.mm)
    found.push(
      find(
        'length',
        `The billet is ${len(wish.length)} long; the log gives ${len(Math.max(0, log.length.mm - 2 * sawing.endTrim))} between its trimmed ends.`,
        'Both ends have checked and are cut off.',
        'Ask for a shorter billet.',
      ),
    );
  if (takenUp(wish) > thin / 2 - (wish.heartOnly ? log.sapwood.mm : 0))
    found.push(
      find(
        'diameter',
        `A billet of ${len(wish.diameter)}${wish.hewing > 0 ? ` with ${len(wish.hewing)} all round for hewing` : ''} does not fit beside the pith of a log ${len(thin)} across at its thin end.`,
        'The pith would be in it, and it would check from there.',
        'Take a thicker log, or a more slender piece.',
      ),
    );
  return found;
}
