import { expect, type Page } from '@playwright/test';
import { choose, endStep, enterDemo, goPast, keepPlan, test } from './door.js';
import { shareOf } from './share.js';

/** What the lathe screen shows of a step: its title, its one figure, and the wood as it is drawn. */
interface Shown {
  /** as it stands at the head: its number, and where it lies in its blank */
  piece: string;
  title: string;
  label: string;
  /** the figure, mm; null where it is in words */
  mm: number | null;
  work: { x0: number; x1: number } | null;
  /** corners of the standing wood, mm: x of the piece, height over the axis */
  wood: { x: number; r: number }[];
}

/** Reads the screen with the ruler that is on it: nothing is known but what a person sees. */
const shown = (page: Page): Promise<Shown> =>
  page.evaluate(() => {
    const number = (element: Element, name: string) => Number(element.getAttribute(name));
    const ticks = [...document.querySelectorAll('.strip-ruler text')].map((t) => ({
      px: number(t, 'x'),
      mm: Number(t.textContent),
    }));
    const [a, b] = [ticks[0]!, ticks.at(-1)!];
    const scale = (b.px - a.px) / (b.mm - a.mm);
    const at = (px: number) => a.mm + (px - a.px) / scale;
    const axis = number(document.querySelector('.strip-axis')!, 'y1');
    // under the lens it is drawn to another scale
    const edges = [...document.querySelectorAll('.standing-edge')].filter((e) => !e.closest('.lens'));
    const wood = edges.flatMap((path) =>
      (path.getAttribute('d') ?? '')
        .slice(1, -1)
        .split('L')
        .map((corner) => corner.split(',').map(Number) as [number, number])
        .filter(([, y]) => y <= axis)
        .map(([x, y]) => ({ x: at(x), r: (axis - y) / Math.abs(scale) })),
    );
    const place = document.querySelector('.work-place rect');
    const [left, width] = place ? [number(place, 'x'), number(place, 'width')] : [0, 0];
    const ends = [at(left), at(left + width)];
    const text = document.querySelector('.run-figure')?.textContent ?? '';
    return {
      piece: document.querySelector('.run-piece')?.textContent ?? '',
      title: document.querySelector('.run-what h1')?.textContent ?? '',
      label: document.querySelector('.run-figure-label')?.textContent ?? '',
      mm: /^\d/.test(text) && text.includes('mm') ? parseFloat(text) : null,
      work: place ? { x0: Math.min(...ends), x1: Math.max(...ends) } : null,
      wood,
    };
  });

/** Which piece is at hand, and all that is said of what is done to it. */
const said = async (page: Page): Promise<string> => {
  const both = [page.locator('.run-piece'), page.locator('.run-what')];
  const texts = await Promise.all(both.map((one) => one.allTextContents()));
  return texts.map((t) => t[0] ?? '').join(' ');
};

/** How thick the drawn wood is over a stretch: its thickest and its thinnest place. mm */
function across(wood: Shown['wood'], { x0, x1 }: { x0: number; x1: number }) {
  const inset = Math.min(0.3, (x1 - x0) / 4);
  const there = wood.filter((p) => p.x >= x0 + inset && p.x <= x1 - inset).map((p) => 2 * p.r);
  return { most: Math.max(...there), least: Math.min(...there) };
}

interface Ordering {
  /** drawn on before it is ordered */
  draw?: (page: Page) => Promise<void>;
  pieces?: number;
  inBlank?: number;
}

/** Orders some of a pattern and goes to the lathe. */
async function toTheLathe(
  page: Page,
  pattern: string,
  { draw, pieces = 1, inBlank = 1 }: Ordering = {},
): Promise<void> {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Patterns' }).click();
  await page
    .locator('.shelf')
    .getByRole('link', { name: new RegExp(pattern) })
    .click();
  if (draw) {
    await draw(page);
    await page.getByRole('button', { name: /Save as revision/ }).click();
    await expect(page.getByRole('button', { name: /Save as revision/ })).toBeHidden();
  }
  await page.getByRole('button', { name: 'Order some' }).click();
  for (const [field, value] of [
    ['How many', pieces],
    ['Pieces in a blank', inBlank],
  ] as const) {
    await page.getByLabel(field).fill(String(value));
    await page.getByLabel(field).press('Tab');
  }
  await keepPlan(page);
  await page.getByRole('link', { name: 'To the lathe' }).click();
  await expect(page.locator('.run-what h1')).toBeVisible();
}

/** Does every step of the piece one after the other, as they come, and gives what each showed before and after. */
async function makeIt(page: Page): Promise<{ before: Shown; after: Shown }[]> {
  const seen: { before: Shown; after: Shown }[] = [];
  const finished = page.getByText('Every piece is done.');
  const done = page.getByRole('button', { name: /^Done(, not (measured|checked))?$/ });
  const unlock = page.getByRole('button', { name: 'Do it all the same' });
  const anyhow = page.getByRole('button', { name: 'Look at that step' });
  let before: Shown | null = null;
  for (;;) {
    await expect(finished.or(done).or(unlock).or(anyhow).first()).toBeVisible();
    if (await finished.isVisible()) return seen;
    await goPast(page);
    await expect(done).toBeVisible();
    const now = await shown(page);
    if (before) seen.push({ before, after: now });
    before = now;
    const words = await said(page);
    await endStep(page, done);
    await expect.poll(() => said(page), { intervals: [40] }).not.toBe(words);
  }
}

/** After each cut the wood that is drawn is as thick as the figure on the screen said. */
function agrees(seen: readonly { before: Shown; after: Shown }[]): number {
  let compared = 0;
  for (const { before, after } of seen) {
    // about another axis the outline that is seen from the front is not what the calliper reads
    if (before.mm === null || !before.work || before.title === 'Turn about the further axis') continue;
    // places are told along the piece at hand: of another one they lie elsewhere
    if (before.piece !== after.piece) continue;
    const found = across(after.wood, before.work);
    const where = `${before.title}, ${before.label} ${before.mm}`;
    switch (before.label) {
      case 'round to':
      case 'part down to':
      case 'tenon':
      case 'stub':
      case 'nib':
        expect(found.most, where).toBeLessThan(before.mm + 0.3);
        compared++;
        break;
      case 'crown':
      case 'straight at':
        // what is left for sanding still stands on it
        expect(found.most, where).toBeGreaterThan(before.mm - 0.3);
        expect(found.most, where).toBeLessThan(before.mm + 0.9);
        compared++;
        break;
      case 'bottom':
        expect(found.least, where).toBeGreaterThan(before.mm - 0.3);
        expect(found.least, where).toBeLessThan(before.mm + 1.2);
        compared++;
        break;
    }
  }
  return compared;
}

const titles = (seen: readonly { before: Shown }[]) => seen.map((s) => s.before.title);

/** Whole pieces at the lathe, each by its title; this run walks its share of them. */
const WALKS = new Map<string, ({ page }: { page: Page }) => Promise<void>>();
const walk = (title: string, work: ({ page }: { page: Page }) => Promise<void>) => WALKS.set(title, work);

walk(
  'a leg keeps its square: only the rest is roughed, and the drawn wood follows every figure',
  async ({ page }) => {
    await toTheLathe(page, 'Footstool leg');
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(5);
    const order = titles(seen);
    expect(order).toContain('Rough to round, after the square');
    expect(order.indexOf('Stop the lathe and take it off')).toBeLessThan(
      order.findIndex((t) => t.startsWith('Saw the nib off')),
    );
    // the square is as thick at the end as it was sawn
    const [blank, last] = [seen[0]!.before, seen.at(-1)!.after];
    const thickest = (wood: Shown['wood']) => Math.max(...wood.map((p) => p.r));
    expect(thickest(last.wood)).toBeCloseTo(thickest(blank.wood), 1);
  },
);

walk(
  'a finial goes into the chuck by a tenon that was turned before, and comes off at the end',
  async ({ page }) => {
    await toTheLathe(page, 'Gallery finial');
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(8);
    const order = titles(seen);
    const at = (title: string) => order.findIndex((t) => t.startsWith(title));
    expect(at('Turn a tenon for the jaws')).toBeLessThan(at('In the chuck by its tenon'));
    expect(at('In the chuck by its tenon')).toBeLessThan(at('Sand'));
    // its tip is turned before the first grit, so that all of it gets the same
    expect(at('Tailstock away')).toBeLessThan(at('Turn the tip'));
    expect(at('Turn the tip')).toBeLessThan(at('Sand'));
  },
);

walk('a stopper is bored before it is round, and its insert cures before it turns', async ({ page }) => {
  await toTheLathe(page, 'Dovecote carafe stopper');
  const seen = await makeIt(page);
  expect(agrees(seen)).toBeGreaterThan(5);
  const order = titles(seen);
  const at = (title: string) => order.findIndex((t) => t.startsWith(title));
  expect(at('Square the reference end')).toBeLessThan(at('Drill the insert hole'));
  expect(at('Glue the insert in')).toBeLessThan(at('Screw it on the mandrel'));
  expect(at('Trial fit')).toBeLessThan(at('Sand'));
});

walk(
  'texture and a burnt line are made at their place: on sanded wood, under the finish',
  async ({ page }) => {
    await toTheLathe(page, 'Garden dibber');
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(5);
    const order = titles(seen);
    const [line, texture] = [order.indexOf('Burn the line'), order.indexOf('Texture')];
    expect(Math.min(line, texture)).toBeGreaterThan(order.findLastIndex((t) => t.startsWith('Sand P')));
    expect(Math.max(line, texture)).toBeLessThan(order.findIndex((t) => t.startsWith('Part the')));
    // the line is burnt where it is drawn: in the groove, 26 of neck and 92 of shaft beyond the knob
    const { work } = seen[line]!.before;
    expect(work!.x1 - work!.x0).toBeCloseTo(0.8, 0);
  },
);

walk(
  'what is drawn about a shifted axis is turned on second marks, after all that is about the first',
  async ({ page }) => {
    await toTheLathe(page, 'Pastry pin', {
      draw: async (tab) => {
        await tab.getByRole('tab', { name: /Parts and joins/ }).click();
        await tab.getByRole('button', { name: '+ second axis' }).click();
        const shift = tab.getByLabel('Shifted by', { exact: true });
        await shift.fill('3');
        await shift.press('Enter');
        await expect(shift).toHaveValue('3');
      },
    });
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(2);
    const order = titles(seen);
    const at = (title: string) => order.findIndex((t) => t.startsWith(title));
    expect(at('On the second marks')).toBeGreaterThan(at('Mark from the story stick'));
    expect(at('Turn about the further axis')).toBe(at('On the second marks') + 1);
    expect(at('Sand P')).toBeGreaterThan(at('Turn about the further axis'));
  },
);

walk(
  'two tops come from one blank: sawn and mounted once, the one at the tail finished and parted off first',
  async ({ page }) => {
    await toTheLathe(page, 'Skylark desk top', { pieces: 2, inBlank: 2 });
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(16);
    const order = titles(seen);
    for (const once of ['Saw the blank', 'Mark centres', 'In the chuck by its tenon', 'True it in the chuck'])
      expect([once, order.filter((t) => t === once).length]).toEqual([once, 1]);
    expect(order.filter((t) => t === 'Part it off')).toHaveLength(2);
    const [off, up] = [
      order.indexOf('Part it off'),
      order.findIndex((t) => t.startsWith('Tailstock up again')),
    ];
    expect(off).toBeLessThan(up);
    expect(seen[off]!.before.piece).toContain('piece 1 of 2 · blank 1');
    expect(seen[up]!.before.piece).toContain('piece 2 of 2 · blank 1');
    // what was parted off is gone from the drawn wood, the other still stands in the chuck
    const long = ({ wood }: Shown) => Math.max(...wood.map((p) => p.x)) - Math.min(...wood.map((p) => p.x));
    expect(long(seen[up]!.before)).toBeLessThan(long(seen[off]!.before) - 40);
  },
);

walk(
  'a recess is drilled through the waste it lies behind, as deep in the piece as it is drawn',
  async ({ page }) => {
    await toTheLathe(page, 'Pastry pin', {
      draw: async (tab) => {
        await tab.getByRole('tab', { name: 'Holes' }).click();
        await tab.getByRole('button', { name: '+ add a hole' }).click();
        await tab.getByLabel('Name of the hole').fill('socket');
        await tab.getByRole('button', { name: '+ add a hole' }).click();
        await choose(tab, 'hole, from', 'from the far end');
      },
    });
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(2);
    const ends = ({ wood }: Shown) => [Math.min(...wood.map((p) => p.x)), Math.max(...wood.map((p) => p.x))];
    const [, length] = ends(seen.at(-1)!.after);
    const holes = [
      { title: 'Drill the socket', end: 0, bottom: 20 },
      { title: 'Drill the hole', end: length!, bottom: length! - 20 },
    ].map(({ title, end, bottom }) => {
      const { before } = seen.find((s) => s.before.title.startsWith(title))!;
      // from the wood that stands to as deep behind the end of the piece as it is drawn
      const stands = ends(before)[end === 0 ? 0 : 1]!;
      const reach = [before.work!.x0, before.work!.x1].sort((a, b) => a - b);
      expect(reach[0]).toBeCloseTo(Math.min(stands, bottom), 0);
      expect(reach[1]).toBeCloseTo(Math.max(stands, bottom), 0);
      return Math.abs(stands - end);
    });
    // one of them lies behind what it is driven by
    expect(Math.max(...holes)).toBeGreaterThan(5);
  },
);

walk(
  'a scoop gets its bowl when all else is done: across in wooden jaws, the flat first',
  async ({ page }) => {
    await toTheLathe(page, 'Tea caddy spoon');
    const seen = await makeIt(page);
    expect(agrees(seen)).toBeGreaterThan(4);
    const order = titles(seen);
    const places = [
      'Saw the nib off the reference end and pare it flush',
      'In the wooden jaws, the face of the bowl outwards',
      'Face the rim of the bowl flat',
      'Hollow the bowl',
      'Sand the bowl',
      'Out of the wooden jaws',
    ].map((title) => order.indexOf(title));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  },
);

for (const title of shareOf([...WALKS.keys()]))
  test(title, async ({ page }) => {
    await WALKS.get(title)?.({ page });
  });
