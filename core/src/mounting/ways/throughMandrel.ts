import { len } from '../../measure/index.js';
import type { Hole } from '../../pattern/index.js';
import type { Fixture, Workshop } from '../../workshop/index.js';
import { fitsOf, liveCentre, plainMount, type MountWish, type WayOfHolding } from '../mount.js';
import { fixture, lacking, LIVE_CENTRE, type Lack } from '../lack.js';
import { lengthOf, spacersFor, type StackItem } from '../stack.js';
import { bushingFor, bushingWanted, LOOSE, slidesOn, type Mouth } from './bushings.js';

/** What the nut of a through mandrel can take up, mm. */
const NUT_TRAVEL = 10;
const SLACK = 1e-6;
/** What a spacer and both bushings usually take of a rod, and how stout a spacer is, mm. */
const BESIDE = 60;
const SPACER_WALL = 3;

const likeRod = (diameter: number) => ({
  name: 'Through mandrel',
  kind: 'through mandrel' as const,
  diameter,
});
const rodWanted = (across: number, length: number): Lack =>
  fixture(`a through mandrel of ${len(across)}, at least ${len(length)} long`, {
    ...likeRod(across),
    length: Math.ceil(length + BESIDE),
  });
const countOf = (lacks: readonly (Lack | false)[]): number => lacks.filter(Boolean).length;

/** What lies on the rod beside the work, and what is wanted for it. */
interface OnRod {
  rod: Fixture;
  stack: StackItem[];
  fixtures: string[];
  lacks: (Lack | false)[];
}

/** A rod through a through hole: bushings at both ends, spacers until the nut closes. */
export const onThroughMandrel: WayOfHolding = (wish, workshop) => {
  const hole = wish.holes?.find((h) => openThroughout(h, wish.outline.length));
  if (!hole) return [];
  const across = narrowest(hole);
  const { rod, stack, fixtures, lacks } = bestRod(wish, hole, workshop) ?? {
    rod: undefined,
    stack: [],
    fixtures: [],
    lacks: [rodWanted(across, wish.outline.length)],
  };
  const mount = plainMount({
    kind: 'through mandrel',
    label: 'On a through mandrel',
    why: 'The outside runs true with the hole from end to end, and both ends are reached.',
    headstock: rod?.name ?? 'through mandrel',
    tailstock: liveCentre(workshop)?.name ?? null,
    reach: lengthOf(stack),
    ...lacking(...lacks, !liveCentre(workshop) && LIVE_CENTRE),
    stack,
    fixtures,
    ...fitsOf(rod, liveCentre(workshop)),
    reversal: 'Both ends are free: nothing to reverse. Square them to the rod before the nut is closed.',
  });
  return [{ mount, suits: 1 }];
};

/**
 * A rod comes out at the other end only where the bit's full width does: a hole that opens by its point
 * alone is none, one that is drawn as deep as the piece is long is one.
 */
const openThroughout = ({ through, steps }: Hole, length: number): boolean =>
  steps.length > 0 && (through || (steps.at(-1)?.depth.mm ?? 0) >= length - SLACK);

const widths = ({ steps }: Hole): number[] =>
  steps.flatMap((s) => [s.diameter.mm, ...(s.endDiameter ? [s.endDiameter.mm] : [])]);
const narrowest = (hole: Hole): number => Math.min(...widths(hole));

/** Of the rods that go through, the one for which least is wanting; one that fills the hole before a thin one, then the shortest. */
function bestRod(wish: MountWish, hole: Hole, workshop: Workshop): OnRod | null {
  const across = narrowest(hole);
  const fitted = (workshop.fixtures ?? [])
    .filter(
      (f) => f.kind === 'through mandrel' && f.diameter <= across + SLACK && f.length >= wish.outline.length,
    )
    .map((rod) => ({ ...onRod(wish, hole, rod, workshop), loose: across - rod.diameter > LOOSE ? 1 : 0 }))
    .sort((a, b) => countOf(a.lacks) - countOf(b.lacks) || a.loose - b.loose || a.rod.length - b.rod.length);
  return fitted[0] ?? null;
}

/** Bushings and spacers beside the work: together as long as the rod, to within what the nut moves. */
function onRod(wish: MountWish, hole: Hole, rod: Fixture, workshop: Workshop): OnRod {
  const owned = workshop.fixtures ?? [];
  const bushings = owned.filter((f) => f.kind === 'bushing' || f.kind === 'cone bushing');
  const [atHead, atTail] = mouthsOf(hole, rod);
  const head = bushingFor(atHead, rod, bushings);
  const tail = bushingFor(
    atTail,
    rod,
    bushings.filter((b) => b !== head),
  );
  const chosen = [head, tail].flatMap((b) => b ?? []);
  const gap = rod.length - wish.outline.length - chosen.reduce((sum, b) => sum + b.length, 0);
  const { spacers, left } = spacersFor(
    gap,
    owned.filter((f) => f.kind === 'spacer' && slidesOn(rod, f)),
  );
  // the nut is at the tail, and the spacers lie before it
  const behind = [...(tail ? [tail] : []), ...spacers];
  return {
    rod,
    stack: [
      ...(head ? [{ what: head.name, length: head.length }] : []),
      ...behind.map((f): StackItem => ({ what: f.name, length: f.length, behind: true })),
    ],
    fixtures: [...chosen, ...spacers].map((f) => f.name),
    lacks: [
      !head && bushingWanted(atHead, rod),
      !tail && besideOf(bushingWanted(atTail, rod), head ? null : bushingWanted(atHead, rod)),
      gap < 0 &&
        fixture(`a through mandrel ${len(-gap)} longer`, {
          ...likeRod(rod.diameter),
          length: Math.ceil(rod.length - gap),
        }),
      // without both bushings nobody knows what is left to fill
      head !== null &&
        tail !== null &&
        left > NUT_TRAVEL &&
        fixture(`a spacer of about ${len(left - NUT_TRAVEL / 2)}, for the stack stays open by ${len(left)}`, {
          name: 'Spacer',
          kind: 'spacer',
          diameter: rod.diameter + 2 * SPACER_WALL,
          bore: rod.diameter,
          length: Math.round((left - NUT_TRAVEL / 2) * 10) / 10,
        }),
    ],
  };
}

/** Of two that are alike the other is the second: each is told, and got, by itself. */
const besideOf = (lack: Lack, other: Lack | null): Lack =>
  lack.words === other?.words ? { ...lack, words: lack.words.replace(/^a /, 'a second ') } : lack;

/** The two ends of the hole, that at the headstock first: work stands with its reference end there. */
function mouthsOf(hole: Hole, rod: Fixture): [Mouth, Mouth] {
  const all = widths(hole);
  const [first = 0, last = 0] = [all[0], all.at(-1)];
  const mouth = (across: number): Mouth => ({ across, centredByRod: across - rod.diameter <= LOOSE });
  return hole.from === 'reference' ? [mouth(first), mouth(last)] : [mouth(last), mouth(first)];
}
