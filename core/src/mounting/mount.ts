import { len, type Finding } from '../measure/index.js';
import type { Kit } from '../hardware/index.js';
import type { ItemKind, Outline, Part, PartEnd } from '../pattern/index.js';
import type { Chuck, Jaws, Workshop } from '../workshop/index.js';

export type MountKind = 'mandrel' | 'between centres' | 'chuck';

/** One sensible way to hold the work. Lengths mm. */
export interface Mount {
  kind: MountKind;
  label: string;
  why: string;
  headstock: string;
  /** null when nothing supports the tail */
  tailstock: string | null;
  /** which end of the part sits at the headstock */
  headstockEnd: 'reference' | 'far';
  wasteDrive: number;
  wasteTail: number;
  /** what the fixture takes up between spindle and work */
  reach: number;
  /** a tenon to turn on the waste, for a chuck */
  tenon: { diameter: number; length: number } | null;
  /** things this way needs that the workshop does not own */
  missing: string[];
  /** fastest the fixture may turn, rpm; Infinity when it sets no limit */
  fastest: number;
}

export interface MountWish {
  part: Part;
  kind: ItemKind;
  outline: Outline;
  kit: Kit | undefined;
  kitEnd: PartEnd | undefined;
  mandrelThread: string | undefined;
}

/**
 * The sensible ways to hold a part, best first: on the kit's own mandrel, between centres, by a
 * tenon in a chuck. A way that lacks something comes after those that lack nothing.
 */
export function proposeMounts(wish: MountWish, workshop: Workshop): [Mount, ...Mount[]] {
  const ways: Mount[] = [
    ...(wish.mandrelThread !== undefined ? [onMandrel(wish.mandrelThread, workshop)] : []),
    ...(wish.kind === 'finial' || wish.kind === 'ornament'
      ? [inChuck(wish, workshop), betweenCentres(wish, workshop)]
      : [betweenCentres(wish, workshop), inChuck(wish, workshop)]),
  ];
  const [first, ...others] = ways.sort((a, b) => Math.sign(a.missing.length) - Math.sign(b.missing.length));
  return [first ?? betweenCentres(wish, workshop), ...others];
}

/** A mandrel that takes the kit's thread runs true with the hardware: flush stays flush. */
function onMandrel(thread: string, workshop: Workshop): Mount {
  const mandrel = workshop.mandrels.find((m) => m.takes === thread);
  const live = workshop.centres.find((c) => c.kind === 'live');
  return {
    kind: 'mandrel',
    label: `On the ${thread} mandrel`,
    why: 'It runs true with the hardware, so that the base stays flush all round.',
    headstock: mandrel?.name ?? `mandrel for ${thread}`,
    tailstock: live?.name ?? null,
    headstockEnd: 'reference',
    wasteDrive: 0,
    wasteTail: workshop.allowances.wasteTail,
    reach: mandrel?.reach ?? 0,
    tenon: null,
    missing: mandrel ? [] : [`a mandrel for ${thread}`],
    fastest: Infinity,
  };
}

/** A drilled end goes to the tail: its hole is measured from the finished end, and no waste may hide it. */
const drilledEnd = ({ part, kit, kitEnd }: MountWish): PartEnd | undefined =>
  kit ? kitEnd : part.holes[0]?.from;

function betweenCentres(wish: MountWish, workshop: Workshop): Mount {
  const ring = workshop.centres.find((c) => c.kind === 'ring' || c.kind === 'stepped');
  const drive = ring ?? workshop.centres.find((c) => c.kind === 'spur');
  const live = workshop.centres.find((c) => c.kind === 'live');
  const drilled = drilledEnd(wish);
  return {
    kind: 'between centres',
    label: 'Between centres',
    why: drilled
      ? 'The live centre sits in the drilled hole, so that the outside runs true with it; it can be taken off and put back.'
      : 'It can be taken off, turned end for end and put back, and still runs true.',
    headstock: drive?.name ?? 'drive centre',
    tailstock: live?.name ?? null,
    headstockEnd: drilled === 'reference' ? 'far' : 'reference',
    wasteDrive: workshop.allowances.wasteDrive,
    wasteTail: drilled ? 0 : workshop.allowances.wasteTail,
    reach: 0,
    tenon: null,
    missing: [...(drive ? [] : ['a drive centre']), ...(live ? [] : ['a live centre'])],
    fastest: Infinity,
  };
}

/** A tenon sized to the jaws' best grip, so that they are just open, and short of their bottom. */
function inChuck(wish: MountWish, workshop: Workshop): Mount {
  const found = bestJaws(wish, workshop.chucks);
  const live = workshop.centres.find((c) => c.kind === 'live');
  const drilled = drilledEnd(wish);
  const tenonLength = found ? Math.max(4, found.jaws.depth - 2) : 0;
  return {
    kind: 'chuck',
    label: 'By a tenon in the chuck',
    why: 'The far end stays free to be finished; the tailstock can come away for the last cuts.',
    headstock: found ? `${found.chuck.name}, ${found.jaws.name}` : 'chuck',
    tailstock: live?.name ?? null,
    headstockEnd: drilled === 'reference' ? 'far' : 'reference',
    wasteDrive: tenonLength + 6,
    wasteTail: live && !drilled ? workshop.allowances.wasteTail : 0,
    reach: found?.jaws.depth ?? 0,
    tenon: found ? { diameter: found.jaws.gripBest, length: tenonLength } : null,
    missing: found ? [] : ['a chuck with jaws for a tenon no thicker than the piece'],
    fastest: found?.chuck.fastest ?? Infinity,
  };
}

function bestJaws(
  { outline }: MountWish,
  chucks: readonly Chuck[],
): { chuck: Chuck; jaws: Jaws } | undefined {
  const widest = Math.max(0, ...outline.segments.flatMap((s) => [2 * s.r0, 2 * s.r1]));
  return chucks
    .flatMap((chuck) => chuck.jaws.map((jaws) => ({ chuck, jaws })))
    .filter(({ jaws }) => jaws.gripBest <= widest + 2)
    .sort((a, b) => b.jaws.gripBest - a.jaws.gripBest)[0];
}

/** Slenderness above which an unsupported, and a supported, piece whips (bench practice). */
const SLENDER_FREE = 4;
const SLENDER_HELD = 12;

/**
 * Whether the lathe can take it: what is missing, swing over the bed, room between centres,
 * overhang without and slenderness with the tailstock.
 * @param blank section diagonal and length, mm
 */
export function mountFindings(
  mount: Mount,
  partId: string,
  outline: Outline,
  blank: { diagonal: number; length: number },
  workshop: Workshop,
): Finding[] {
  const { lathe } = workshop;
  const findings: Finding[] = mount.missing.map((missing) => ({
    id: `mount.missing.${partId}.${missing}`,
    severity: 'stop',
    stage: 'mount',
    partId,
    what: `The workshop has no ${missing.replace(/^an? /, '')}.`,
    why: `${mount.label} needs it.`,
    remedy: 'Choose another way to hold the work, or add it to the workshop.',
  }));
  const say = (id: string, severity: Finding['severity'], what: string, why: string, remedy: string) =>
    findings.push({ id: `mount.${id}.${partId}`, severity, stage: 'mount', partId, what, why, remedy });
  if (blank.diagonal > lathe.swing)
    say(
      'swing',
      'stop',
      `The blank sweeps ${len(blank.diagonal)}, the lathe swings ${len(lathe.swing)}.`,
      'It would strike the bed.',
      'Use a larger lathe or a thinner pattern.',
    );
  const total = blank.length + mount.reach;
  if (total > lathe.betweenCentres)
    say(
      'bed',
      'stop',
      `Blank and fixture take ${len(total)}, the lathe ${len(lathe.betweenCentres)} between centres.`,
      'It does not fit between the centres.',
      'Fewer pieces in one blank, or a shorter fixture.',
    );
  const slender = blank.length / slimmest(outline);
  if (mount.tailstock === null && slender > SLENDER_FREE)
    say(
      'overhang',
      'warn',
      `It stands out ${len(blank.length)} without a tailstock.`,
      `That is ${slender.toFixed(1)} times its thinnest place; above ${SLENDER_FREE} it chatters.`,
      'Bring up a live centre, or take light cuts towards the chuck.',
    );
  if (mount.tailstock !== null && slender > SLENDER_HELD)
    say(
      'slender',
      'warn',
      `It is ${slender.toFixed(1)} times longer than its thinnest place.`,
      `Above ${SLENDER_HELD} it whips between centres.`,
      'Little tailstock force, light cuts, fingers or a steady behind the work.',
    );
  return findings;
}

/** Thinnest place that still carries wood beyond it: ends that run to a point do not count. */
function slimmest(outline: Outline): number {
  const inner = outline.spans.slice(0, -1).map((s) => s.endDiameter);
  return Math.max(1, Math.min(...inner, outline.spans[0]?.startDiameter ?? 1));
}
