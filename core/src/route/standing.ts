import { bodySilhouette, type SilhouettePoint } from '../pattern/index.js';
import { applied } from './apply.js';
import { endNow, reachOfForm } from './datum.js';
import type { Effect } from './effect.js';
import { bodyOfPart, sourceOf, type Operation } from './operation.js';
import { EMPTY_SHOP, woodOf, type PieceIn, type Shop, type Wood } from './shop.js';
import type { Step } from './step.js';
import { inWood, stretchOf, type Stretch } from './stretch.js';

/** A wood as it stands before a step, where its piece lies in it, and where the step works. mm */
export interface StandingWood {
  wood: Wood;
  silhouette: SilhouettePoint[][];
  /** what its piece was glued to: that stands finished in it and beyond it */
  others: SilhouettePoint[][];
  /** rings that hang free round it, where they were turned */
  rings: SilhouettePoint[][];
  /** x of the wood's frame where the piece's reference end lies, and which way the piece runs */
  pieceAt: number;
  pieceRuns: 1 | -1;
  /** from where to where the stock reached before it was cut, and the largest radius that is left */
  reach: Stretch;
  most: number;
  /** where the others that still lie in the wood begin, x of the piece */
  beside: number[];
  /** from where to where the step works, x of the wood's frame; null where it is about the whole */
  work: Stretch | null;
}

/** The steps that make a part, behind those of what is glued into it on the way: together they play its woods. */
export function stepsWithTaken<S extends Pick<Step, 'partId' | 'takes' | 'item'>>(
  steps: readonly S[],
  partId: string,
): S[] {
  const parts = new Set([partId]);
  // in a plan what is taken stands before what takes it
  for (const step of steps.toReversed())
    if (step.item !== true && parts.has(step.partId)) step.takes?.forEach((id) => parts.add(id));
  return steps.filter((s) => s.item !== true && parts.has(s.partId));
}

/** The shop before a step: all steps before it in the list played; null for plans made before there were routes. */
export function shopBefore(steps: readonly Step[], stepId: string): Shop | null {
  let shop = EMPTY_SHOP;
  for (const { id, operation } of steps) {
    if (operation === undefined) return null;
    if (id === stepId) return shop;
    shop = applied(shop, operation);
  }
  return shop;
}

/**
 * The wood that a step is done to, as it stands when it is begun; what the step itself makes is shown where
 * nothing stands before it. Null for plans made before there were routes.
 * @param pitch how finely it is drawn, mm
 */
export function standingBefore(steps: readonly Step[], stepId: string, pitch: number): StandingWood | null {
  const operation = steps.find((s) => s.id === stepId)?.operation;
  const before = shopBefore(steps, stepId);
  if (!operation || !before) return null;
  const on = operation.on[0] ?? sawnBy(operation);
  const shop = woodOf(before, on) ? before : applied(before, operation);
  const wood = woodOf(shop, on) ?? shop.woods[0];
  const piece = wood?.pieces.find((p) => p.n === operation.place) ?? wood?.pieces[0];
  if (!wood || !piece) return null;
  const source = sourceOf(wood, piece);
  const silhouette = bodySilhouette(bodyOfPart(wood.body, source), pitch);
  const { form } = wood.body;
  const others =
    form.kind === 'joined'
      ? form.of
          .filter((o) => o.id !== source)
          .flatMap((o) => bodySilhouette(bodyOfPart(wood.body, o.id), pitch))
      : [];
  return {
    wood,
    silhouette,
    others,
    rings: shop.woods.filter((w) => isRingOn(w, wood)).flatMap((w) => bodySilhouette(w.body, pitch)),
    pieceAt: piece.at.at[0],
    pieceRuns: piece.at.along[0] < 0 ? -1 : 1,
    reach: reachOfForm(wood),
    most: Math.max(0, ...[...silhouette, ...others].flatMap((run) => run.map((p) => p.outside))),
    beside: besideOf(wood.pieces, piece),
    work: workOf(operation),
  };
}

/** The wood that comes out of the stock in a step. */
const sawnBy = ({ effects }: Operation): string =>
  effects.flatMap((e) => (e.do === 'stock' ? [e.wood.id] : []))[0] ?? '';

/** A ring keeps the frame of the wood it came free of: it hangs where it was turned. */
function isRingOn(ring: Wood, wood: Wood): boolean {
  const [at] = ring.pieces.map((p) => p.at.at[0]);
  const freed = ring.body.skins.some((s) => s.id === ring.by && s.side === 'inside');
  return freed && at !== undefined && at > endNow(wood, 'low').at.at[0] && at < endNow(wood, 'high').at.at[0];
}

const besideOf = (pieces: readonly PieceIn[], piece: PieceIn): number[] =>
  pieces
    .filter((p) => p !== piece && p.partId === piece.partId)
    .map(({ at }) => (at.at[0] - piece.at.at[0]) * (piece.at.along[0] < 0 ? -1 : 1));

/** Where the other pieces of a blank begin, from the reference end of the one that is worked first. mm */
export function besideInBlank(steps: readonly Step[]): number[] {
  const woods = steps
    .flatMap((s) => s.operation?.effects ?? [])
    .flatMap((e) => (e.do === 'stock' ? [e.wood] : []));
  const [first] = woods[0]?.pieces ?? [];
  return first ? besideOf(woods[0]?.pieces ?? [], first) : [];
}

/** Where an operation works along its wood. */
function workOf({ effects }: Operation): Stretch | null {
  const stretches = effects.flatMap((effect) => workOfEffect(effect) ?? []);
  if (stretches.length === 0) return null;
  return {
    x0: Math.min(...stretches.map((s) => s.x0)),
    x1: Math.max(...stretches.map((s) => s.x1)),
  };
}

function workOfEffect(effect: Effect): Stretch | null {
  switch (effect.do) {
    case 'cut':
      return inWood(stretchOf(effect.skin), effect.skin.axis);
    case 'drill': {
      const { at, steps } = effect.hole;
      const reach = Math.abs(at.along[0]) > 0.9 ? (steps.at(-1)?.depth ?? 0) * at.along[0] : 0;
      const wide = reach === 0 ? (steps[0]?.diameter ?? 0) / 2 : 0;
      const [a, b] = [at.at[0] - wide, at.at[0] + reach + wide];
      return { x0: Math.min(a, b), x1: Math.max(a, b) };
    }
    case 'treat':
      return { x0: effect.treated.on.x0, x1: effect.treated.on.x1 };
    case 'split':
      return { x0: effect.at.at[0], x1: effect.at.at[0] };
    case 'flat':
      return effect.sawn && Math.abs(effect.flat.at.along[0]) < 0.9
        ? null
        : { x0: effect.flat.at.at[0], x1: effect.flat.at.at[0] };
    default:
      return null;
  }
}
