import { formatLength, parseLength, speak, withoutShade, type Step, type Units } from '@compas/core';
import { keyFigure } from '../../src/run/keyFigure.js';
import type { ShownSmall } from '../../src/run/shownFigure.js';

/** A step as it is printed. */
export interface Printed {
  label: string;
  value: string;
  from: string;
  at: string;
  beside: { label: string; value: string; from: string }[];
  words: string;
}

const valueOf = (figure: ShownSmall, units: Units): string => {
  if ('text' in figure) return figure.text;
  const to = figure.to === undefined ? '' : ` to ${formatLength(figure.to, units)}`;
  return `${formatLength(figure.mm, units)}${to}`;
};

export function printed(step: Step, units: Units): Printed {
  const figure = keyFigure(step, undefined);
  const { at, beside = [] } = figure;
  const place = at && [
    at.mm === undefined ? '' : formatLength(at.mm, units),
    at.to === undefined ? '' : `${at.mm === undefined ? 'over' : 'to'} ${formatLength(at.to, units)}`,
    at.from,
  ];
  return {
    label: figure.label,
    value: valueOf(figure, units),
    from: figure.from ?? '',
    at: (place ?? []).filter((part) => part !== '').join(' '),
    beside: beside.map((s) => ({ label: s.label, value: valueOf(s, units), from: s.from ?? '' })),
    words: speak(step.words.join(' '), units),
  };
}

/** A length as it is printed: mm, decimal inches, or a fraction of an inch with its shade. */
export const L = String.raw`(?:a shade (?:over|under) )?(?:\d+(?:\.\d+)? mm|\d+\.\d+"|(?:\d+ )?\d+\/\d+"|\d+")`;

/** How closely a printed length is its own, mm: half of what is printed last. */
export const HALF: Record<Units, number> = { mm: 0.05, 'decimal-inch': 0.0127, inch: 0.2 };

export function mmOf(text: string): number {
  const read = parseLength(withoutShade(text.trim()), 'mm');
  if (!('dimension' in read)) throw new Error(`“${text}” is no length.`);
  return read.dimension.mm;
}
export const lengthsIn = (text: string): number[] =>
  [...text.matchAll(new RegExp(L, 'g'))].map(([t]) => mmOf(t));
