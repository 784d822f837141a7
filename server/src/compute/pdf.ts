import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { onPaper, type Ink, type Page } from '@compas/core';
import PDFDocument from 'pdfkit';

/** PDF points in a millimetre. */
const POINTS = 72 / 25.4;
const PLAIN = 'plain';
const BOLD = 'bold';

const fonts = dirname(
  createRequire(import.meta.url).resolve('@fontsource/atkinson-hyperlegible-next/package.json'),
);
const font = (weight: number) =>
  join(fonts, 'files', `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);

/** Writes pages as a PDF, every millimetre a millimetre. */
export async function pdfOf(pages: readonly Page[], title: string): Promise<Buffer> {
  const document = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Compas' } });
  document.registerFont(PLAIN, font(400));
  document.registerFont(BOLD, font(700));
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((done) => document.on('end', () => done()));
  for (const page of pages) {
    document.addPage({ size: [page.width * POINTS, page.height * POINTS], margin: 0 });
    for (const ink of page.ink) draw(document, ink);
  }
  document.end();
  await ended;
  return Buffer.concat(chunks);
}

function draw(document: PDFKit.PDFDocument, ink: Ink): void {
  switch (ink.kind) {
    case 'line':
      document.lineWidth(ink.weight * POINTS);
      if (ink.dashed) document.dash(1.5 * POINTS, { space: POINTS });
      document
        .moveTo(ink.x0 * POINTS, ink.y0 * POINTS)
        .lineTo(ink.x1 * POINTS, ink.y1 * POINTS)
        .stroke();
      document.undash();
      return;
    case 'polyline': {
      const [first, ...rest] = ink.points;
      if (!first) return;
      document.lineWidth(ink.weight * POINTS).moveTo(first[0] * POINTS, first[1] * POINTS);
      for (const [x, y] of rest) document.lineTo(x * POINTS, y * POINTS);
      if (ink.filled) document.fillAndStroke('black');
      else document.stroke();
      return;
    }
    case 'text':
      writeText(document, ink);
  }
}

/** Text stands on its baseline at (x, y). */
function writeText(document: PDFKit.PDFDocument, given: Extract<Ink, { kind: 'text' }>): void {
  const ink = { ...given, text: onPaper(given.text) };
  document
    .font(ink.bold ? BOLD : PLAIN)
    .fontSize(ink.size * POINTS)
    .fillColor('black');
  const width = document.widthOfString(ink.text);
  const back = ink.align === 'right' ? width : ink.align === 'centre' ? width / 2 : 0;
  document.text(ink.text, ink.x * POINTS - back, ink.y * POINTS, {
    lineBreak: false,
    baseline: 'alphabetic',
  });
}
