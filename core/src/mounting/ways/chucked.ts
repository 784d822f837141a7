import { len } from '../../measure/index.js';
import { widestOf, type PartEnd } from '../../pattern/index.js';
import type { Chuck, Fixture, Jaws, Workshop } from '../../workshop/index.js';
import {
  awayFromHole,
  drilledEnd,
  fitsOf,
  liveCentre,
  plainMount,
  type MountWish,
  type WayOfHolding,
} from '../mount.js';
import { CHUCK, jawsUpTo, lacking } from '../lack.js';
import { showsTip } from './ends.js';
import { drawnIn } from './drawBar.js';

/** Tenon and jaws: the shoulder seats, the tenon stays short of the bottom. mm */
const SHORT_OF_BOTTOM = 2;
const PARTING_ROOM = 6;
const LEAST_TENON = 4;

/** A tenon sized to the jaws' best grip, so that they are just open, and short of their bottom. */
export const inChuck: WayOfHolding = (wish, workshop) => {
  const widest = widestOf(wish.outline).diameter;
  const headstockEnd = awayFromHole(wish);
  const bored = boredAt(wish, headstockEnd);
  const found = bestJaws(widest, workshop.chucks, bored === 0 ? 0 : bored + 2 * TENON_WALL);
  const live = liveCentre(workshop);
  const drilled = drilledEnd(wish);
  const tenonLength = found ? Math.max(LEAST_TENON, found.jaws.depth - SHORT_OF_BOTTOM) : 0;
  const mount = plainMount({
    kind: 'chuck',
    label: 'By a tenon in the chuck',
    why: found
      ? `The far end stays free to be finished. Jaws hold best nearly closed: ${len(found.jaws.gripBest)} of ${len(found.jaws.gripLeast)} to ${len(found.jaws.gripMost)}.`
      : 'The far end stays free to be finished; the tailstock can come away for the last cuts.',
    headstock: found ? `${found.chuck.name}, ${found.jaws.name}` : 'chuck',
    tailstock: live?.name ?? null,
    headstockEnd,
    wasteDrive: tenonLength + PARTING_ROOM,
    wasteTail: live && !drilled ? workshop.allowances.wasteTail : 0,
    reach: found?.jaws.depth ?? 0,
    tenon: found ? { diameter: found.jaws.gripBest, length: tenonLength } : null,
    ...lacking(!workshop.chucks[0] && CHUCK, !found && jawsUpTo(widest, workshop.chucks[0])),
    fastest: found?.chuck.fastest ?? Infinity,
    ...fitsOf(found?.chuck, live),
    stack: found ? [{ what: found.jaws.name, length: found.jaws.depth }] : [],
    reversal: reversedIn(wish, workshop),
  });
  return [{ mount, suits: showsTip(wish.outline) ? 2 : 3 }];
};

/** Wood that is left round a bore which runs through the tenon, mm; bench practice, typical. */
const TENON_WALL = 3;

/** The widest bore that runs through the waste at an end, mm; 0 where none does. */
const boredAt = ({ holes = [], drilledLast = [] }: MountWish, end: PartEnd): number =>
  Math.max(
    0,
    ...holes
      .filter((hole) => (hole.through || hole.from === end) && !drilledLast.includes(hole))
      .flatMap(({ steps }) => steps.map((s) => s.diameter.mm)),
  );

function bestJaws(
  widest: number,
  chucks: readonly Chuck[],
  least: number,
): { chuck: Chuck; jaws: Jaws } | undefined {
  return jawsOf(chucks)
    .filter(({ jaws }) => jaws.gripBest <= widest + 2 && jaws.gripBest >= least)
    .sort((a, b) => b.jaws.gripBest - a.jaws.gripBest)[0];
}

export const jawsOf = (chucks: readonly Chuck[]) =>
  chucks.flatMap((chuck) => chuck.jaws.map((jaws) => ({ chuck, jaws })));

/** Jaws that open into a recess which the piece has anyway. */
export const inRecess: WayOfHolding = (wish, workshop) => {
  const mouths = (wish.holes ?? []).flatMap((hole) => {
    const step = hole.steps[0];
    return step && !step.endDiameter ? [{ hole, across: step.diameter.mm, deep: step.depth.mm }] : [];
  });
  const fits = jawsOf(workshop.chucks).flatMap(({ chuck, jaws }) =>
    mouths
      .filter(({ across, deep }) => {
        const least = jaws.recessLeast ?? Infinity;
        return across >= least && across <= (jaws.recessMost ?? 0) && deep >= LEAST_TENON;
      })
      .map((mouth) => ({ chuck, jaws, ...mouth })),
  );
  // nearly closed jaws touch all round
  const [best] = fits.sort(
    (a, b) => a.across - (a.jaws.recessLeast ?? 0) - (b.across - (b.jaws.recessLeast ?? 0)),
  );
  if (!best) return [];
  const mount = plainMount({
    kind: 'recess',
    label: 'By the jaws in its recess',
    why: `The ${best.hole.name} of ${len(best.across)} is there anyway: the jaws open into it, nearly closed, and the outside runs true with it.`,
    headstock: `${best.chuck.name}, ${best.jaws.name}, opened`,
    tailstock: liveCentre(workshop)?.name ?? null,
    headstockEnd: best.hole.from,
    wasteTail: liveCentre(workshop) ? workshop.allowances.wasteTail : 0,
    reach: best.jaws.depth,
    fastest: best.chuck.fastest,
    ...fitsOf(best.chuck, liveCentre(workshop)),
    stack: [{ what: best.jaws.name, length: best.jaws.depth }],
    fixtures: ['open the jaws gently: a thin rim splits'],
    reversal: reversedIn(wish, workshop),
  });
  return [{ mount, suits: 2.5 }];
};

/** How near a collet must be to what it grips, mm. */
export const COLLET_RANGE = 0.3;

/** A collet grips a finished straight end; in a taper it is kept from creeping out by a draw bar. */
export const inCollet: WayOfHolding = (wish, workshop) => {
  const collets = workshop.fixtures?.filter((f) => f.kind === 'collet') ?? [];
  const ends = straightEnds(wish);
  const found = collets.flatMap((collet) =>
    ends
      .filter((e) => Math.abs(e.diameter - collet.diameter) <= COLLET_RANGE)
      .map((end) => ({ collet, ...end })),
  )[0];
  if (!found) return [];
  const drawn = drawnIn(found.collet, workshop);
  const mount = plainMount({
    kind: 'collet',
    label: 'In the collet, by its own end',
    why: `The straight end of ${len(found.diameter)} goes into it without a tenon to cut away.`,
    headstock: found.collet.name,
    tailstock: liveCentre(workshop)?.name ?? null,
    headstockEnd: found.end,
    wasteTail: liveCentre(workshop) ? workshop.allowances.wasteTail : 0,
    reach: found.collet.length,
    stack: [{ what: found.collet.name, length: found.collet.length }],
    fixtures: drawn.fixtures,
    ...lacking(drawn.lack),
    ...fitsOf(found.collet, liveCentre(workshop)),
    reversal: 'Rough that end to its diameter between centres first.',
  });
  return [{ mount, suits: 3.2 }];
};

/** Straight, and long enough for a collet to close on. */
const isStraight = ({ element, x0, x1 }: MountWish['outline']['spans'][number]): boolean =>
  (element.kind === 'cylinder' || element.kind === 'tenon') && x1 - x0 >= 8;

function straightEnds({ outline }: MountWish): { end: 'reference' | 'far'; diameter: number }[] {
  const first = outline.spans[0];
  const last = outline.spans.at(-1);
  return [
    ...(first && isStraight(first) ? [{ end: 'reference' as const, diameter: first.endDiameter }] : []),
    ...(last && isStraight(last) ? [{ end: 'far' as const, diameter: last.endDiameter }] : []),
  ];
}

/** How its other end is held when the tenon is gone: what the shop owns, best first. */
export function reversedIn(wish: MountWish, workshop: Workshop): string {
  const own = (kind: Fixture['kind']) => workshop.fixtures?.find((f) => f.kind === kind);
  const largest = widestOf(wish.outline);
  const jaws = own('wooden jaws');
  if (jaws) return `Turn it round in ${jaws.name}, re-cut to ${len(largest.diameter)} where it is widest.`;
  const jam = own('jam chuck');
  if (jam)
    return `Turn it round into ${jam.name}: cut its seat to ${len(largest.diameter)}, a push fit, live centre up until the last cut.`;
  const cup = own('cup');
  if (cup) return `Turn it round between ${cup.name} and the live centre.`;
  return `For its other end cut a jam seat of ${len(largest.diameter)} in a scrap of soft wood held in the chuck.`;
}
