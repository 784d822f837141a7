import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan } from '../plan/index.js';
import { batchSheet, onPaper, patternDrawing, printOf, type Ink, type Page, type Paper } from './index.js';

const textsOf = (pages: readonly Page[]): string[] =>
  pages.flatMap((p) => p.ink.flatMap((i) => (i.kind === 'text' ? [i.text] : [])));
const squares = (ink: readonly Ink[]) =>
  ink.filter((i) => i.kind === 'polyline' && i.points.length === 5 && i.weight === 0.2);

function sheetFor(pieces: number, paper: Paper = 'A4', units: 'mm' | 'inch' = 'mm') {
  const { pattern, workshop, stock, order, schools } = exampleInputs(pieces);
  const made = plan(pattern, workshop, stock, { ...order, due: '2026-12-04' }, schools);
  const pages = batchSheet({ title: 'Stopper', orderedBy: 'Lantern Row', plan: made, units, paper });
  return { pages, part: made.parts[0] };
}

/** What the face that is printed has: Latin letters and the signs of typesetting. */
const HAS = /^[\u0020-\u007e\u00a0-\u00b4\u00b6-\u00ff–—‘’“”…•−]*$/;

describe('signs on paper', () => {
  it.each(['mm', 'inch', 'decimal-inch'] as const)(
    'every sign of drawings and sheets can be printed, in %s',
    (units) => {
      const drawings = STARTING_FORMS.flatMap((form) =>
        patternDrawing({ title: form.name, revision: 1, body: form.body({}, 'ash'), units, paper: 'A4' }),
      );
      const { pages } = sheetFor(6, 'A4', units === 'mm' ? 'mm' : 'inch');
      const all = textsOf([...drawings, ...pages]);
      expect(all.filter((words) => !HAS.test(onPaper(words)))).toEqual([]);
      expect(all.some((words) => words.includes('⌀'))).toBe(true);
      expect(onPaper('⌀ 21')).toBe('Ø 21');
    },
  );
});

describe('the batch on paper', () => {
  it.each(['A4', 'Letter'] as const)('begins with the piece: what is cut where, inside %s', (paper) => {
    const { pages, part } = sheetFor(6, paper);
    const [first] = pages;
    const words = textsOf([first!]);
    for (const cut of part.layout.sizing) expect(words).toContain(`⌀ ${cut.cutTo.toFixed(1)}`);
    expect(words).toContain('headstock');
    const picture = first!.ink.filter((i) => i.kind === 'polyline' && i.weight === 0.4);
    expect(picture).toHaveLength(2);
    for (const { ink, width, height } of pages)
      for (const drawn of ink) {
        const spots: [number, number][] =
          drawn.kind === 'polyline'
            ? drawn.points
            : drawn.kind === 'line'
              ? [
                  [drawn.x0, drawn.y0],
                  [drawn.x1, drawn.y1],
                ]
              : [[drawn.x, drawn.y]];
        expect(spots.every(([x, y]) => x >= 0 && y >= 0 && x <= width && y <= height)).toBe(true);
      }
  });

  it('says its days in words', () => {
    const text = textsOf(sheetFor(6).pages).join('\n');
    expect(text).toMatch(/For Lantern Row, by Fri 4 Dec\. Begin \w{3} \d+ \w{3,4}, \d\d:\d\d, ready /);
    expect(text).not.toMatch(/\d{4}-\d\d-\d\d/);
  });

  it('has a box for each piece and step; above a dozen one for each five', () => {
    const few = sheetFor(6);
    const made = (sheet: typeof few) => squares(sheet.pages.flatMap((p) => p.ink)).length;
    expect(made(few)).toBe(6 * few.part.steps.length);
    const many = sheetFor(23);
    expect(made(many)).toBe(5 * many.part.steps.length);
    const counts = textsOf(many.pages).filter((t) => t === '5' || t === '3');
    expect(counts.filter((t) => t === '3')).toHaveLength(many.part.steps.length);
    expect(counts.filter((t) => t === '5')).toHaveLength(4 * many.part.steps.length);
  });
});

describe('the card over the lathe', () => {
  it.each(['A4', 'Letter'] as const)(
    'gives every place and what is cut there in digits 8 mm tall, on %s',
    (paper) => {
      const { pattern, workshop, stock, order, schools } = exampleInputs(6);
      const [part] = plan(pattern, workshop, stock, order, schools).parts;
      const pages = printOf('bench', {
        title: 'Stopper',
        part,
        workshop,
        paper,
        forCutter: false,
        version: '1.1',
      });
      const large = pages.flatMap((p) => p.ink.flatMap((i) => (i.kind === 'text' && i.size > 12 ? [i] : [])));
      const wanted = part.layout.sizing.flatMap((cut) => [cut.x.toFixed(1), `⌀ ${cut.cutTo.toFixed(1)}`]);
      expect(large.map((i) => i.text)).toEqual(wanted);
      for (const { height, ink } of pages)
        for (const i of ink) if (i.kind === 'text') expect(i.y).toBeLessThan(height);
      expect(pages[0]!.ink.filter((i) => i.kind === 'polyline')).toHaveLength(2);
    },
  );

  it('goes on to another card when there are more places than fit', () => {
    const { pattern, workshop, stock, order, schools } = exampleInputs(6);
    const [part] = plan(pattern, workshop, stock, order, schools).parts;
    const [cut] = part.layout.sizing;
    const sizing = Array.from({ length: 40 }, (_, i) => ({ ...cut!, id: `s${i}`, x: i }));
    const many = { ...part, layout: { ...part.layout, sizing } };
    const pages = printOf('bench', {
      title: 'Stopper',
      part: many,
      workshop,
      paper: 'A4',
      forCutter: false,
      version: '1.1',
    });
    const rows = pages.map(
      (p) => p.ink.filter((i) => i.kind === 'text' && i.text.startsWith('⌀') && i.size > 12).length,
    );
    expect(rows.length).toBeGreaterThan(2);
    expect(rows.reduce((a, b) => a + b, 0)).toBe(40);
  });
});
