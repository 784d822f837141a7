import type { PatternBody, Part } from '../../pattern/index.js';
import {
  CHOSEN_KINDS,
  type DecisionKind,
  type DecisionOf,
  type Habit,
  type OwnStep,
  type OwnWay,
  type Workshop,
} from '../../workshop/index.js';
import type { PartChoices } from '../inputs.js';

/** Where something was decided, the narrowest first: it goes before the wider ones. */
export const WAY_SCOPES = {
  order: 'this order',
  pattern: 'this pattern',
  kind: 'this kind of item',
  material: 'this wood',
  workshop: 'the workshop',
} as const;
export type WayScope = keyof typeof WAY_SCOPES;

/** An own way and where it was decided. */
export interface ScopedWay {
  way: OwnWay;
  scope: WayScope;
}

/** An own way that a plan follows, and what would be usual instead, in words. */
export interface FollowedWay extends ScopedWay {
  instead: string;
}

interface Decided<K extends DecisionKind> {
  decides: DecisionOf<K>;
  scoped: ScopedWay;
}

/** Own ways that hold for a part, the narrowest first and within a scope the newest. */
export function waysFor(
  part: Part,
  { kind }: Pick<PatternBody, 'kind'>,
  { materialId, ways = [] }: PartChoices,
  workshop: Pick<Workshop, 'ways'>,
): ScopedWay[] {
  const habits = (workshop.ways ?? []).filter(
    (h) =>
      (h.materialId === undefined || h.materialId === materialId) &&
      (h.itemKind === undefined || h.itemKind === kind),
  );
  const of = (scope: WayScope, own: readonly OwnWay[]) =>
    [...own].sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0)).map((way) => ({ way, scope }));
  const all = [
    ...of('order', ways),
    ...of('pattern', part.ways ?? []),
    ...(['kind', 'material', 'workshop'] as const).flatMap((scope) =>
      of(
        scope,
        habits.filter((h) => reachOf(h) === scope),
      ),
    ),
  ];
  const undone = new Set(
    all.flatMap(({ way: { decides } }) => (decides.kind === 'usual' ? decides.wayId : [])),
  );
  return all.filter(({ way }) => !undone.has(way.id));
}

/** What a habit is about at its narrowest: one kind of item, one wood, or everything. */
const reachOf = ({ itemKind, materialId }: Habit): WayScope =>
  itemKind !== undefined ? 'kind' : materialId !== undefined ? 'material' : 'workshop';

/** What is decided of the item lies with the choices of its first part. */
const isOfItem = (decides: OwnWay['decides']): boolean =>
  (decides.kind === 'cure' && decides.of.startsWith(OF_ITEM)) ||
  (decides.kind === 'extra' && isAfterItem(decides.step)) ||
  (decides.kind === 'minutes' && decides.on.kind === 'step' && decides.on.id.startsWith(OF_ITEM));
const OF_ITEM = 'item/';
/** Whether an own step is done to the item, after one of the steps that put it together. */
export const isAfterItem = ({ after }: Pick<OwnStep, 'after'>): boolean =>
  after?.startsWith(OF_ITEM) === true;

/**
 * The own ways of a part as its plan asks for them. It keeps which of them were followed, with what would be usual,
 * and which found nothing to be about: those are shown as homeless, never dropped.
 */
export class OwnWays {
  private readonly met = new Set<string>();
  private readonly instead = new Map<string, string>();

  constructor(readonly all: readonly ScopedWay[]) {}

  /** The narrowest decision of a kind that fits, if there is one; `usual` says what would be done without it. */
  decide<K extends DecisionKind>(
    kind: K,
    fits: (decision: DecisionOf<K>) => boolean,
    usual: string,
  ): DecisionOf<K> | null {
    const fitting = this.of(kind).filter(({ decides }) => fits(decides));
    fitting.forEach(({ scoped }) => this.met.add(scoped.way.id));
    const [narrowest] = fitting;
    if (!narrowest) return null;
    this.follow(narrowest.scoped, usual);
    return narrowest.decides;
  }

  /** Every decision of a kind, the narrowest first. */
  of<K extends DecisionKind>(kind: K): Decided<K>[] {
    return this.all.flatMap((scoped) => {
      const { decides } = scoped.way;
      return decides.kind === kind ? [{ decides: decides as DecisionOf<K>, scoped }] : [];
    });
  }

  follow({ way }: ScopedWay, usual: string): void {
    this.met.add(way.id);
    this.instead.set(way.id, this.instead.get(way.id) ?? usual);
  }

  isFollowed({ way }: ScopedWay): boolean {
    return this.instead.has(way.id);
  }

  get followed(): FollowedWay[] {
    return this.all.flatMap((scoped) => {
      const instead = this.instead.get(scoped.way.id);
      return instead === undefined ? [] : [{ ...scoped, instead }];
    });
  }

  /** What was decided for this order or pattern and has nothing left that it is about. */
  get homeless(): ScopedWay[] {
    return this.all.filter(
      ({ way, scope }) =>
        !this.met.has(way.id) &&
        (scope === 'order' || scope === 'pattern') &&
        way.decides.kind !== 'past' &&
        way.decides.kind !== 'usual' &&
        !CHOSEN_KINDS.has(way.decides.kind) &&
        !isOfItem(way.decides),
    );
  }
}
