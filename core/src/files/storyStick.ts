import { formatLength, type Units } from '../measure/index.js';
import type { Layout, Mark } from '../layout/index.js';
import { radiusAt, type Outline } from '../pattern/index.js';
import { MARGIN, PAPERS, type Ink, type Page, type Paper } from './page.js';

/** Sheets are joined with this much of the stick on both of them, mm. */
const OVERLAP = 10;
/** The bar that is measured to see that the printer did not scale, mm. */
export const CHECK_BAR = 100;

const STICK_Y = 80;
const STICK_HEIGHT = 22;
const ROW = 5;
const LABEL_ROWS = 4;

export interface StoryStickWish {
  title: string;
  outline: Outline;
  layout: Layout;
  units: Units;
  paper: Paper;
}

/**
 * Story stick at 1:1, the sheet lying on its side: a line and a notch at each mark, measured from the
 * reference end, diameters beside, the half profile above, a check bar of 100 mm on each sheet. A stick
 * longer than the sheet is split with match marks 10 mm apart on both sheets.
 */
export function storyStick(wish: StoryStickWish): Page[] {
  const { width: height, height: width } = PAPERS[wish.paper];
  const usable = width - 2 * MARGIN;
  const starts = tileStarts(wish.outline.length, usable);
  return starts.map((from, i) => {
    const to = Math.min(wish.outline.length, from + usable);
    const xOf = (x: number) => MARGIN + x - from;
    const inside = (x: number) => x >= from - 1e-9 && x <= to + 1e-9;
    return {
      width,
      height,
      ink: [
        ...heading(wish, i, starts.length),
        ...stick(xOf(from), xOf(to)),
        ...profile(wish.outline, from, to, xOf),
        ...wish.layout.marks
          .filter((m) => inside(m.x))
          .flatMap((m, n) => markInk(m, xOf(m.x), n, wish.units)),
        ...(i > 0 ? matchMark(xOf(from + OVERLAP), `${i}`) : []),
        ...(i < starts.length - 1 ? matchMark(xOf(to), `${i + 1}`) : []),
        ...checkBar(height),
      ],
    };
  });
}

function tileStarts(length: number, usable: number): number[] {
  const starts = [0];
  let from = 0;
  while (length > from + usable + 1e-9) {
    from += usable - OVERLAP;
    starts.push(from);
  }
  return starts;
}

function heading(wish: StoryStickWish, i: number, sheets: number): Ink[] {
  const sheet = sheets > 1 ? `, sheet ${i + 1} of ${sheets}` : '';
  return [
    {
      kind: 'text',
      x: MARGIN,
      y: MARGIN + 4,
      size: 6,
      text: `Story stick: ${wish.title}${sheet}`,
      bold: true,
    },
    {
      kind: 'text',
      x: MARGIN,
      y: MARGIN + 10,
      size: 3.6,
      text: `Total ${formatLength(wish.outline.length, wish.units)}. All marks from the reference end, the first line. Print at 100 %.`,
    },
    ...(sheets > 1
      ? [
          {
            kind: 'text' as const,
            x: MARGIN,
            y: MARGIN + 15,
            size: 3.6,
            text: 'Lay the triangles with the same number on each other.',
          },
        ]
      : []),
  ];
}

function stick(x0: number, x1: number): Ink[] {
  const y1 = STICK_Y + STICK_HEIGHT;
  return [
    {
      kind: 'polyline',
      weight: 0.3,
      points: [
        [x0, STICK_Y],
        [x1, STICK_Y],
        [x1, y1],
        [x0, y1],
        [x0, STICK_Y],
      ],
    },
  ];
}

/** Half profile, standing on the upper edge of the stick, drawn with its true sizes up to 45 mm. */
function profile(outline: Outline, from: number, to: number, xOf: (x: number) => number): Ink[] {
  const points: [number, number][] = [];
  const steps = Math.max(2, Math.ceil(to - from) * 2);
  const breaks = outline.segments.flatMap((s) => [s.x0, s.x1]).filter((x) => x > from && x < to);
  const xs = [
    ...Array.from({ length: steps + 1 }, (_, i) => from + ((to - from) * i) / steps),
    ...breaks,
  ].sort((a, b) => a - b);
  for (const x of xs) points.push([xOf(x), STICK_Y - Math.min(45, radiusAt(outline, x))]);
  return [{ kind: 'polyline', points: [[xOf(from), STICK_Y], ...points, [xOf(to), STICK_Y]], weight: 0.35 }];
}

function markInk(mark: Mark, x: number, n: number, units: Units): Ink[] {
  const bottom = STICK_Y + STICK_HEIGHT;
  // the first of each group hangs lowest, so that no leader crosses a label before it
  const row = bottom + 6 + (LABEL_ROWS - 1 - (n % LABEL_ROWS)) * 2.4 * ROW;
  const diameters =
    mark.before === mark.after || mark.before === 0
      ? formatLength(mark.after, units)
      : `${formatLength(mark.before, units)} | ${formatLength(mark.after, units)}`;
  return [
    { kind: 'line', x0: x, y0: STICK_Y, x1: x, y1: bottom, weight: 0.25 },
    {
      kind: 'polyline',
      weight: 0.1,
      filled: true,
      points: [
        [x - 1.2, bottom],
        [x + 1.2, bottom],
        [x, bottom - 2.4],
        [x - 1.2, bottom],
      ],
    },
    { kind: 'line', x0: x, y0: bottom, x1: x, y1: row - 4, weight: 0.1, dashed: true },
    {
      kind: 'text',
      x: x + 0.8,
      y: row,
      size: 3.4,
      text: `${formatLength(mark.x, units)}  ${mark.label}`,
      bold: true,
    },
    { kind: 'text', x: x + 0.8, y: row + 4, size: 3.2, text: `dia. ${diameters}` },
  ];
}

function matchMark(x: number, name: string): Ink[] {
  const y = STICK_Y - 2;
  return [
    {
      kind: 'line',
      x0: x,
      y0: STICK_Y - 8,
      x1: x,
      y1: STICK_Y + STICK_HEIGHT + 4,
      weight: 0.15,
      dashed: true,
    },
    {
      kind: 'polyline',
      weight: 0.2,
      filled: true,
      points: [
        [x, y],
        [x - 2, y - 4],
        [x + 2, y - 4],
        [x, y],
      ],
    },
    { kind: 'text', x: x + 3, y: y - 1, size: 3.4, text: name, bold: true },
  ];
}

function checkBar(height: number): Ink[] {
  const y = height - MARGIN - 8;
  const x1 = MARGIN + CHECK_BAR;
  return [
    { kind: 'line', x0: MARGIN, y0: y, x1, y1: y, weight: 0.4 },
    { kind: 'line', x0: MARGIN, y0: y - 3, x1: MARGIN, y1: y + 3, weight: 0.4 },
    { kind: 'line', x0: x1, y0: y - 3, x1, y1: y + 3, weight: 0.4 },
    {
      kind: 'text',
      x: MARGIN,
      y: y + 7,
      size: 3.4,
      text: 'Check bar: exactly 100 mm (3.937"). If it measures otherwise, print again without scaling.',
    },
  ];
}
