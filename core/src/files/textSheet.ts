import { MARGIN, PAPERS, type Ink, type Page, type Paper } from './page.js';

/** A line of a sheet before it has a page. */
export interface Line {
  size: number;
  bold?: boolean;
  text: string;
  /** second column, for figures beside words */
  right?: string;
  gap?: number;
}

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
  const room = Math.floor(
    (width - (line.right?.length ?? 0) * line.size * CHARACTER) / (line.size * CHARACTER),
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
    if (y + height > paper.height - MARGIN) {
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
