import { MARGIN, moved, PAPERS, type Ink, type Page, type Paper } from './page.js';
import type { Picture } from './piecePicture.js';

/** A line of a sheet before it has a page. */
export interface Line {
  size: number;
  bold?: boolean;
  text: string;
  /** second column, for figures beside words */
  right?: string;
  gap?: number;
  /** so many boxes to tick at the right, one for each piece; above a dozen one for each five */
  boxes?: number;
  /** what is drawn under the line */
  picture?: Picture;
}

/** Side of a box, and as many stand beside each other before one stands for five, mm. */
const BOX = 3;
const BOX_STEP = 4.2;
const DOZEN = 12;

const boxesOf = (pieces: number): number[] =>
  pieces <= DOZEN
    ? Array.from({ length: pieces }, () => 1)
    : Array.from({ length: Math.ceil(pieces / 5) }, (_, i) => Math.min(5, pieces - 5 * i));

/** Boxes of one line stand in rows of so many. */
const IN_A_ROW = 12;

/** Mean width of a character, as a share of its size: used to wrap before a font is chosen. */
const CHARACTER = 0.5;
const LEADING = 1.42;

export const head = (text: string): Line => ({ size: 4.4, bold: true, text, gap: 3 });
export const body = (text: string, right?: string): Line => ({ size: 3.5, text, right });

/** Lines on as many pages as they take, each page with its number. */
export function textSheet(lines: readonly Line[], on: Paper, title: string): Page[] {
  const paper = PAPERS[on];
  const width = paper.width - 2 * MARGIN;
  return paginate(
    lines.flatMap((line) => wrap(line, width)),
    paper,
    title,
  );
}

function wrap(line: Line, width: number): Line[] {
  const boxes = Math.min(IN_A_ROW, boxesOf(line.boxes ?? 0).length) * BOX_STEP;
  const room = Math.floor(
    (width - boxes - (line.right?.length ?? 0) * line.size * CHARACTER) / (line.size * CHARACTER),
  );
  const rows: string[] = [''];
  for (const word of line.text.split(/(?<=\s)/)) {
    const last = rows.length - 1;
    if ((rows[last] ?? '').length + word.length > room && rows[last] !== '') rows.push(`       ${word}`);
    else rows[last] = (rows[last] ?? '') + word;
  }
  return rows.map((text, i) => (i === 0 ? { ...line, text } : { size: line.size, bold: line.bold, text }));
}

function paginate(lines: Line[], paper: { width: number; height: number }, title: string): Page[] {
  const pages: Ink[][] = [[]];
  let y = MARGIN;
  for (const line of lines) {
    const height = line.size * LEADING + (line.gap ?? 0);
    const rows = Math.ceil(boxesOf(line.boxes ?? 0).length / IN_A_ROW);
    const under = Math.max(0, rows - 1) * BOX_STEP + (line.picture?.height ?? 0);
    if (y + height + under > paper.height - MARGIN) {
      pages.push([]);
      y = MARGIN;
    }
    y += height;
    const ink = pages.at(-1);
    ink?.push({ kind: 'text', x: MARGIN, y, size: line.size, text: line.text, bold: line.bold });
    if (line.right !== undefined)
      ink?.push({
        kind: 'text',
        x: paper.width - MARGIN,
        y,
        size: line.size,
        text: line.right,
        align: 'right',
        bold: line.bold,
      });
    ink?.push(...boxInk(line.boxes ?? 0, paper.width - MARGIN, y));
    if (line.picture) ink?.push(...line.picture.ink.map((drawn) => moved(drawn, MARGIN, y)));
    y += under;
  }
  return pages.map((ink, i) => ({
    ...paper,
    ink: [
      ...ink,
      {
        kind: 'text',
        x: paper.width - MARGIN,
        y: paper.height - 6,
        size: 3,
        align: 'right',
        text: `${title}, page ${i + 1} of ${pages.length}`,
      },
    ],
  }));
}

/** Boxes from the right edge, each that stands for more than one with its count in it. */
function boxInk(pieces: number, right: number, y: number): Ink[] {
  const counts = boxesOf(pieces);
  return counts.flatMap((count, i): Ink[] => {
    const row = Math.floor(i / IN_A_ROW);
    const inRow = Math.min(IN_A_ROW, counts.length - row * IN_A_ROW);
    const x = right - (inRow - (i % IN_A_ROW)) * BOX_STEP + BOX_STEP - BOX;
    const low = y + 0.4 + row * BOX_STEP;
    const corners: [number, number][] = [
      [x, low],
      [x + BOX, low],
      [x + BOX, low - BOX],
      [x, low - BOX],
      [x, low],
    ];
    const box: Ink = { kind: 'polyline', points: corners, weight: 0.2 };
    if (count === 1) return [box];
    return [
      box,
      { kind: 'text', x: x + BOX / 2, y: low - 0.8, size: 2, align: 'centre', text: String(count) },
    ];
  });
}
