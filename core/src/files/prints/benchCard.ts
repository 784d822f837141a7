import type { Units } from '../../measure/index.js';
import type { PartPlan } from '../../plan/index.js';
import { figure } from '../drawingLabels.js';
import { line, MARGIN, moved, PAPERS, text, type Ink, type Page, type PrintPaper } from '../page.js';
import { piecePicture } from '../piecePicture.js';
import { checkBar, FOOT } from './longSheet.js';

export interface BenchCardWish {
  title: string;
  part: PartPlan;
  paper: PrintPaper;
  units: Units;
}

/** Digits stand this tall, mm; those of the face are two thirds of its size. */
const DIGITS = 8;
const SIZE = DIGITS / 0.66;
const ROW = 15;

/**
 * A card to pin up over the lathe: the piece, and each place that is sized with how far it is from the
 * reference end and what is cut there, in digits that are read from a step away.
 */
export function benchCard({ title, part, paper, units }: BenchCardWish): Page[] {
  const { width, height } = PAPERS[paper === 'roll' ? 'A4' : paper];
  const picture = piecePicture(part, units, width - 2 * MARGIN);
  const top = MARGIN + 14;
  const begin = top + picture.height + 6;
  const fit = (from: number) => Math.max(1, Math.floor((height - MARGIN - FOOT - from) / ROW));
  const { sizing } = part.layout;
  const pages: Page[] = [];
  for (let from = 0; from < Math.max(1, sizing.length);) {
    const low = pages.length === 0 ? begin : MARGIN + 4;
    const rows = sizing.slice(from, from + fit(low));
    const ink: Ink[] = rows.flatMap((cut, i): Ink[] => rowInk(cut, low + (i + 1) * ROW - 3, width, units));
    if (pages.length === 0) {
      ink.unshift(text(MARGIN, MARGIN + 8, 8, title, { bold: true }));
      ink.push(...picture.ink.map((drawn) => moved(drawn, MARGIN, top)));
    }
    pages.push({ width, height, ink: [...ink, ...checkBar(height)] });
    from += Math.max(1, rows.length);
  }
  return pages;
}

function rowInk(cut: PartPlan['layout']['sizing'][number], y: number, width: number, units: Units): Ink[] {
  const right = width - MARGIN;
  return [
    line(MARGIN, y + 2.5, right, y + 2.5, 0.15),
    text(MARGIN, y, SIZE, figure(cut.x, units)),
    text(MARGIN + 52, y, 5, cut.label),
    text(right, y, SIZE, `⌀ ${figure(cut.cutTo, units)}`, { bold: true, align: 'right' }),
  ];
}
