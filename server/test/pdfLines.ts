import { inflateSync } from 'node:zlib';

/** A straight line on a page of a PDF, mm from its top left corner. */
export interface PdfLine {
  page: number;
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Millimetres in a PDF point. */
const MM = 25.4 / 72;

/**
 * Straight lines as a printer would draw them, measured in the file itself: every content stream is
 * unpacked and its moves and lines are read. Only what our own writer uses is understood.
 */
export function pdfLines(pdf: Buffer): PdfLine[] {
  const streams = [...pdf.toString('latin1').matchAll(/stream\r?\n/g)].flatMap(({ index, 0: head }) => {
    const from = index + head.length;
    try {
      return [inflateSync(pdf.subarray(from)).toString('latin1')];
    } catch {
      return [];
    }
  });
  // fonts are packed streams too: a page begins by turning its y axis over
  const pages = streams.filter((s) => /^1 0 0 -1 0 [\d.]+ cm/.test(s));
  return pages.flatMap((page, i) => linesOf(page, i));
}

function linesOf(page: string, number: number): PdfLine[] {
  const lines: PdfLine[] = [];
  let at: [number, number] = [0, 0];
  for (const [, x, y, what] of page.matchAll(/(-?[\d.]+) (-?[\d.]+) ([ml])\n/g)) {
    const to: [number, number] = [Number(x) * MM, Number(y) * MM];
    if (what === 'l') lines.push({ page: number, x0: at[0], y0: at[1], x1: to[0], y1: to[1] });
    at = to;
  }
  return lines;
}

/** Lines that stand upright and are so long, from left to right. */
export const uprights = (lines: readonly PdfLine[], length: number): number[] =>
  lines
    .filter((l) => Math.abs(l.x1 - l.x0) < 1e-6 && Math.abs(Math.abs(l.y1 - l.y0) - length) < 0.01)
    .map((l) => l.x0)
    .sort((a, b) => a - b);
