import { formatLength, withoutShade, type Units } from '../measure/index.js';
import { peaksOf, type ElementSpan, type Outline } from '../pattern/index.js';
import { line, MARGIN, text, type Ink } from './page.js';
import { spreadLabels } from './spreadLabels.js';

/** A length without its unit: the heading says it once. */
export const figure = (mm: number, units: Units): string =>
  withoutShade(formatLength(mm, units)).replace(/ mm$/, '');

/** Where the work lies on the sheet. */
export interface Placing {
  x: (x: number) => number;
  y: (r: number) => number;
  top: number;
  low: number;
}

/** Rows of labels are so far apart, mm. */
export const ROW = 4.6;

/** A diameter over the work takes up so much of its row, a length under it so much, mm. */
const DIAMETER_WIDE = 12.5;
const LENGTH_WIDE = 8.5;
/** How far beyond the work labels may stand, mm. */
const BEYOND = 12;
/** A label this far from its place is led to it, mm. */
const LED = 0.6;

/** Ends of the row that labels of the work may stand in. */
const rowOf = (outline: Outline, place: Placing): [number, number] => [
  Math.max(MARGIN + DIAMETER_WIDE / 2, place.x(0) - BEYOND),
  place.x(outline.length) + BEYOND,
];

/** Diameters in one row over the work, moved apart where they are close; a line leads each to its place. */
export function diameterInk(outline: Outline, place: Placing, units: Units): Ink[] {
  const first = outline.spans[0];
  const spots = [
    ...(first ? [{ x: 0, r: first.startDiameter / 2, ball: false }] : []),
    ...outline.spans.flatMap((s) => spotsOf(outline, s)),
  ];
  const kept = spots
    .filter(
      (s, i) => !spots.slice(0, i).some((o) => Math.abs(o.x - s.x) < 1e-6 && Math.abs(o.r - s.r) < 1e-6),
    )
    .sort((a, b) => a.x - b.x);
  const y = place.top + ROW;
  const knee = y + 3;
  const laid = spreadLabels(
    kept.map((s) => place.x(s.x)),
    DIAMETER_WIDE,
    rowOf(outline, place),
  );
  return kept.flatMap((s, i) => {
    const at = laid[i] ?? place.x(s.x);
    return [
      line(at, y + 0.8, at, knee, 0.1),
      line(at, knee, place.x(s.x), place.top + KNEE, 0.1),
      line(place.x(s.x), place.top + KNEE, place.x(s.x), place.y(s.r), 0.1),
      ...(s.ball ? [text(at, y - 3.4, 2.7, 'ball', { align: 'centre' })] : []),
      text(at, y, 2.7, `⌀ ${figure(2 * s.r, units)}`, { align: 'centre' }),
    ];
  });
}

/** Where the lines from the labels have come over their places, below the top, mm. */
const KNEE = 14;

/** End of an element, and its crest or bottom when it has one. */
const spotsOf = (outline: Outline, span: ElementSpan): { x: number; r: number; ball: boolean }[] => [
  ...peaksOf(outline, span).map(({ x, diameter }) => ({
    x,
    r: diameter / 2,
    ball: span.element.kind === 'sphere',
  })),
  { x: span.x1, r: span.endDiameter / 2, ball: false },
];

/** Length of each element in a chain, and under it the running places from the reference end. */
export function lengthInk(outline: Outline, place: Placing, units: Units): Ink[] {
  const y = place.low + 6;
  const spans = outline.spans.filter((s) => s.x1 - s.x0 > 1e-6);
  const ends = [0, ...spans.map((s) => s.x1)];
  const labelled = (of: { x: number; mm: number }[], from: number, to: number): Ink[] => {
    const laid = spreadLabels(
      of.map(({ x }) => place.x(x)),
      LENGTH_WIDE,
      rowOf(outline, place),
    );
    return of.flatMap(({ x, mm }, i) => {
      const at = laid[i] ?? place.x(x);
      const led = Math.abs(at - place.x(x)) > LED;
      return [
        ...(led ? [line(place.x(x), from + 0.4, at, to - 2.4, 0.08)] : []),
        text(at, to, 2.5, figure(mm, units), { align: 'centre' }),
      ];
    });
  };
  return [
    line(place.x(0), y, place.x(outline.length), y, 0.15),
    ...ends.map((x) => line(place.x(x), place.low + 2, place.x(x), y + 1.5, 0.1)),
    ...labelled(
      spans.map((s) => ({ x: (s.x0 + s.x1) / 2, mm: s.x1 - s.x0 })),
      y,
      y + 5,
    ),
    ...labelled(
      ends.map((x) => ({ x, mm: x })),
      y + 7,
      y + 12,
    ),
  ];
}
