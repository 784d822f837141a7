import { MARGIN, PAPERS, type Ink, type Page, type PrintPaper } from '../page.js';

/** Sheets are joined with this much of the drawing on both of them, mm. */
const OVERLAP = 10;
/** The bar that is measured to see that the printer did not scale, mm. */
export const CHECK_BAR = 100;
/** A roll is wide enough for the words above the drawing, mm. */
const LEAST_WIDE = 230;
/** Where the drawing begins below the heading, and what the check bar needs below it. mm */
export const TOP = 40;
export const FOOT = 24;

/** Something long that is drawn lying, at 1:1: on paper it is tiled, on a roll it is one piece. */
export interface LongDrawing {
  title: string;
  hint: string;
  from: number;
  to: number;
  /** height that the drawing takes below the heading, mm */
  tall: number;
  /** what lies between two places; xOf and y are in mm on the page */
  ink: (place: Placed) => Ink[];
}

export interface Placed {
  from: number;
  to: number;
  xOf: (x: number) => number;
  /** whether a place is on this sheet */
  on: (x: number) => boolean;
}

/** Height that is left for a drawing on the lying sheet, mm; a roll is as high as it takes. */
export const roomOn = (paper: PrintPaper): number =>
  paper === 'roll' ? Infinity : PAPERS[paper].width - TOP - FOOT;

/** The sheets of a long drawing: heading, its share of the drawing, match marks, check bar. */
export function longSheet(drawing: LongDrawing, paper: PrintPaper): Page[] {
  const { from, to, tall } = drawing;
  const width = paper === 'roll' ? Math.max(to - from, LEAST_WIDE) + 2 * MARGIN : PAPERS[paper].height;
  const height = paper === 'roll' ? TOP + tall + FOOT : PAPERS[paper].width;
  const usable = width - 2 * MARGIN;
  const starts = tileStarts(from, to, usable);
  return starts.map((start, i) => {
    const end = Math.min(to, start + usable);
    const place: Placed = {
      from: start,
      to: end,
      xOf: (x) => MARGIN + x - start,
      on: (x) => x >= start - 1e-9 && x <= end + 1e-9,
    };
    return {
      width,
      height,
      ink: [
        ...heading(drawing, i, starts.length),
        ...drawing.ink(place),
        ...(i > 0 ? matchMark(place.xOf(start + OVERLAP), `${i}`, tall) : []),
        ...(i < starts.length - 1 ? matchMark(place.xOf(end), `${i + 1}`, tall) : []),
        ...checkBar(height),
      ],
    };
  });
}

function tileStarts(from: number, to: number, usable: number): number[] {
  const starts = [from];
  let start = from;
  while (to > start + usable + 1e-9) {
    start += usable - OVERLAP;
    starts.push(start);
  }
  return starts;
}

function heading({ title, hint }: LongDrawing, i: number, sheets: number): Ink[] {
  const sheet = sheets > 1 ? `, sheet ${i + 1} of ${sheets}` : '';
  return [
    { kind: 'text', x: MARGIN, y: MARGIN + 4, size: 6, text: `${title}${sheet}`, bold: true },
    { kind: 'text', x: MARGIN, y: MARGIN + 10, size: 3.6, text: hint },
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

function matchMark(x: number, name: string, tall: number): Ink[] {
  const y = TOP + 6;
  return [
    { kind: 'line', x0: x, y0: TOP, x1: x, y1: TOP + tall, weight: 0.15, dashed: true },
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

/** A bar that is measured before anything is trusted. */
export function checkBar(height: number): Ink[] {
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
