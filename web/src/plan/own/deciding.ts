import type { Decision, Habit, PartPlan, ScopedWay, StepName, WayScope } from '@compas/core';
import { createContext, useContext } from 'react';

/** How far a decision reaches, from this order to everything that is made here. */
export const EVERY_SCOPE: readonly WayScope[] = ['order', 'pattern', 'kind', 'material', 'workshop'];
/** What is named by its id says nothing about other items, and an order chooses it without more ado. */
export const PATTERN_ONLY: readonly WayScope[] = ['pattern'];
/** What holds whenever something is ordered, unless the order says otherwise. */
export const LASTING_SCOPES: readonly WayScope[] = ['pattern', 'kind', 'material', 'workshop'];
/** What names something that is drawn says nothing about other items. */
export const DRAWN_SCOPES: readonly WayScope[] = ['order', 'pattern'];

/** One decision with how far it reaches, and why. */
export interface Wanted {
  decides: Decision;
  scope: WayScope;
  why: string;
}

/** What can be decided otherwise on a screen, and for which part. */
export interface Deciding {
  part: PartPlan;
  /** what is decided of the item lies with the choices of this part */
  leads: boolean;
  /** what the wood is called */
  material: string;
  /** scopes that can be decided for here; a kept plan knows only its own order */
  scopes: readonly WayScope[];
  decide: (wanted: Wanted) => void;
  /** habits that are not followed this time, each with the decision that says so */
  skipped: readonly { habit: Habit; by: ScopedWay }[];
  takeBack: (scoped: ScopedWay) => void;
  /** what was gone past is a Stop again */
  stopAgain: (finding: string) => void;
  /** the orders of cuts of this order, all of them anew */
  reorder: (orders: readonly { first: string[]; then: string[] }[]) => void;
  pending: boolean;
  error: Error | null;
}

/** Null where a plan is only shown. */
export const DecidingContext = createContext<Deciding | null>(null);
export const useDeciding = (): Deciding | null => useContext(DecidingContext);

/** How a scope is called here. */
export const scopeWords = (scope: WayScope, material: string): string =>
  ({
    order: 'this order',
    pattern: 'this pattern, always',
    kind: 'every item of this kind',
    material: `everything in ${material.toLowerCase()}`,
    workshop: 'everything made here',
  })[scope];

export const isWide = (scope: WayScope): boolean => scope !== 'order' && scope !== 'pattern';

/** A step as a decision names it: itself for an order or a pattern, what it does for a habit. */
export const namedFor = (scope: WayScope, own: StepName, like: StepName): StepName =>
  isWide(scope) ? like : own;
