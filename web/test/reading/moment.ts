import { hasWood, type Effect, type Shop, type Step, type Wood } from '@compas/core';

/** What a step does to the wood that stands before it. */
export interface Moment {
  step: Step;
  before: Shop;
  /** finished length of the part, mm */
  length: number;
}

export type Cut = Extract<Effect, { do: 'cut' }>;
export const effectsOf = <D extends Effect['do']>({ step }: Moment, what: D): Extract<Effect, { do: D }>[] =>
  (step.operation?.effects ?? []).filter((e): e is Extract<Effect, { do: D }> => e.do === what);

/** x of the wood's frame where it ends, felt for along it. mm */
const felt = new WeakMap<Wood['body'], Map<string, number>>();
function endOf({ body }: Wood, side: 'low' | 'high'): number {
  const known = felt.get(body) ?? new Map<string, number>();
  felt.set(body, known);
  const found = known.get(side) ?? feel(body, side === 'low' ? 1 : -1);
  known.set(side, found);
  return found;
}
function feel(body: Wood['body'], runs: 1 | -1): number {
  const stands = (x: number) =>
    [0, 1.5, 4, 8, 14].some((r) =>
      [0.4, 2.1, 3.9].some((a) => hasWood(body, [x, r * Math.sin(a), r * Math.cos(a)])),
    );
  let air = runs === 1 ? -30 : 900;
  while (!stands(air + runs) && Math.abs(air) < 930) air += runs;
  let wood = air + runs;
  while (Math.abs(wood - air) > 1e-4) {
    const middle = (wood + air) / 2;
    if (stands(middle)) wood = middle;
    else air = middle;
  }
  return wood;
}

/** Which way and from where a length runs, as its words say; null where they name no end. */
export function rule(moment: Moment, words: string): ((mm: number) => number) | null {
  const [wood] = woodsOf(moment);
  if (!wood) return null;
  const piece = wood.pieces.find((p) => p.n === (moment.step.operation?.place ?? 1)) ?? wood.pieces[0];
  if (/finished (reference|far) end/.test(words) && piece) {
    const [from, runs] = words.includes('reference') ? [0, 1] : [moment.length, -1];
    return (mm) => piece.at.at[0] + piece.at.along[0] * (from + runs * mm);
  }
  if (words.includes('first end')) return (mm) => endOf(wood, 'low') + mm;
  if (words.includes('second end')) return (mm) => endOf(wood, 'high') - mm;
  return null;
}
export const woodsOf = ({ step, before }: Moment): Wood[] =>
  (step.operation?.on ?? []).flatMap((id) => before.woods.find((w) => w.id === id) ?? []);
