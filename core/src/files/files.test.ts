import { dim } from '../measure/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan } from '../plan/index.js';
import { batchSheet, PAPERS, type Ink, type Paper } from './index.js';
import { CHECK_BAR } from './prints/longSheet.js';
import { MARGIN } from './page.js';
import { storyStick } from './prints/stick.js';

const planFor = (length?: number) => {
  const { pattern, workshop, stock, order, schools } = exampleInputs(12);
  if (length !== undefined)
    pattern.parts[0].turnings[0].elements = [{ kind: 'cylinder', id: 'e1', length: dim(length) }];
  return plan(pattern, workshop, stock, order, schools);
};
const stickOf = (paper: Paper, length?: number) => {
  const [part] = planFor(length).parts;
  return {
    part,
    pages: storyStick('stick', { title: 'Stopper', outline: part.outline, layout: part.layout, paper }),
  };
};
const inside = (ink: Ink, width: number, height: number): boolean => {
  const points =
    ink.kind === 'polyline'
      ? ink.points
      : ink.kind === 'line'
        ? [
            [ink.x0, ink.y0],
            [ink.x1, ink.y1],
          ]
        : [[ink.x, ink.y]];
  return points.every(([x = 0, y = 0]) => x >= 0 && x <= width && y >= 0 && y <= height);
};

describe.each(['A4', 'Letter'] as const)('story stick on %s', (paper) => {
  it('has every mark at its true distance from the first, and a check bar of 100 mm', () => {
    const { part, pages } = stickOf(paper);
    expect(pages).toHaveLength(1);
    const lines = pages[0]!.ink.flatMap((i) =>
      i.kind === 'line' && i.x0 === i.x1 && i.weight === 0.25 ? [i.x0 - MARGIN] : [],
    );
    expect(lines).toEqual(part.layout.marks.map((m): unknown => expect.closeTo(m.x, 9)));
    const bar = pages[0]!.ink.find((i) => i.kind === 'line' && i.weight === 0.4);
    expect(bar?.kind === 'line' && bar.x1 - bar.x0).toBe(CHECK_BAR);
  });

  it('stays on the sheet', () => {
    const { pages } = stickOf(paper);
    for (const page of pages) {
      expect([page.width, page.height]).toEqual([PAPERS[paper].height, PAPERS[paper].width]);
      expect(page.ink.every((ink) => inside(ink, page.width, page.height))).toBe(true);
    }
  });

  it('splits a long stick so that match marks lie on the same place of the stick', () => {
    const { pages } = stickOf(paper, 600);
    expect(pages).toHaveLength(3);
    const usable = PAPERS[paper].height - 2 * MARGIN;
    const marks = pages.map((p) =>
      p.ink.flatMap((i) => (i.kind === 'line' && i.dashed && i.weight === 0.15 ? [i.x0 - MARGIN] : [])),
    );
    // sheet 2 begins 10 mm before sheet 1 ends
    expect(marks[0]).toEqual([expect.closeTo(usable, 9)]);
    expect(marks[1]?.[0]).toBeCloseTo(10, 9);
  });
});

describe('batch sheet', () => {
  it('carries every step and stays on its pages', () => {
    const made = planFor();
    const pages = batchSheet({
      title: 'Stopper',
      orderedBy: 'Lantern Row',
      plan: made,
      units: 'inch',
      paper: 'Letter',
    });
    const text = pages.flatMap((p) => p.ink.flatMap((i) => (i.kind === 'text' ? [i.text] : []))).join('\n');
    made.parts[0].steps.forEach((s) => expect(text).toContain(s.title));
    expect(text).not.toContain('⟦');
    pages.forEach((p) => expect(p.ink.every((ink) => inside(ink, p.width, p.height))).toBe(true));
  });
});
