import type { Units } from '@compas/core';
import { effectsOf, rule, type Moment } from './moment.js';
import { lengthsIn, mmOf, type Printed } from './printed.js';
import { differs, played, type Misread, type Place } from './profile.js';

/** From where to where, as it is printed under the figure. */
export function stretchRead(moment: Moment, text: string, done: readonly Place[], by: number): Misread {
  const runs = rule(moment, text);
  if (!runs) return [`“${text}” names no end`];
  const read = lengthsIn(text);
  const [a, b] = text.startsWith('over') ? [0, read[0]] : text.startsWith('at the') ? [0, 0] : read;
  const ends = [runs(a ?? NaN), runs(b ?? a ?? NaN)].sort((p, q) => p - q);
  const xs = done.map((p) => p.x);
  return [
    ...differs('begins', ends[0], Math.min(...xs), by),
    ...differs('ends', ends[1], Math.max(...xs), by),
  ];
}

export const across = (places: readonly Place[]): number => 2 * Math.max(...places.map((p) => p.r));
export const least = (places: readonly Place[]): number => 2 * Math.min(...places.map((p) => p.r));

export type Reader = (moment: Moment, shown: Printed, by: number, units: Units) => Misread;

/** Turned to a diameter over a stretch. */
export const turned =
  (of: (places: readonly Place[]) => number, over: 'all' | 'stretch'): Reader =>
  (moment, shown, by) => {
    const [cut] = effectsOf(moment, 'cut');
    if (!cut) return ['nothing is cut'];
    const done = played(cut, false);
    return [
      ...differs('⌀', mmOf(shown.value), of(done), 2 * by + 0.05),
      ...(over === 'all' ? [] : stretchRead(moment, shown.at, done, 2 * by + 0.05)),
    ];
  };

/** Where the parting tool stands to its mark. */
const SIDES: Record<string, (x0: number, mark: number, x1: number) => boolean> = {
  'just beyond': (x0, mark) => Math.abs(x0 - mark) < 0.3,
  'just before': (_, mark, x1) => Math.abs(x1 - mark) < 0.3,
  across: (x0, mark, x1) => mark > x0 + 0.05 && mark < x1 - 0.05,
};

export const sized: Reader = (moment, shown, by) => {
  const [cut] = effectsOf(moment, 'cut');
  if (!cut) return ['nothing is cut'];
  const done = played(cut, false);
  const runs = rule(moment, shown.at);
  const mark = runs?.(lengthsIn(shown.at)[0] ?? 0) ?? NaN;
  const side = /the tool (just beyond|just before|across) the mark/.exec(shown.words)?.[1] ?? '';
  const xs = done.map((p) => p.x);
  // beyond is farther from the end that the rule lies on
  const from = runs && runs(1) < runs(0) ? -1 : 1;
  const [a, b] = [Math.min(...xs), Math.max(...xs)];
  const stands = from === 1 ? SIDES[side]?.(a, mark, b) : SIDES[side]?.(-b, -mark, -a);
  return [
    ...differs('⌀', mmOf(shown.value), across(done), 2 * by + 0.05),
    ...differs('its words say', lengthsIn(shown.words)[0], across(done), 2 * by + 0.05),
    ...(stands === true ? [] : [`the tool stands “${side}” the mark at ${mark}, and cuts ${a} to ${b}`]),
  ];
};
