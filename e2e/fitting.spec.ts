import { expect, type Page } from '@playwright/test';
import { pdfLines, uprights, type PdfLine } from '../server/test/pdfLines.js';
import { AGAIN_IF_CLOSED, choose, enterDemo, test } from './door.js';

/** Opens the plan of a pattern from its shelf, at a stage. */
async function planOf(page: Page, pattern: string, stage: string): Promise<void> {
  await page.goto('/patterns');
  await page
    .getByRole('link', { name: new RegExp(pattern) })
    .first()
    .click();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
}
const toStage = (page: Page, stage: string) =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage }).click();
const bores = (page: Page) => page.locator('.bore');

/** The lines of a sheet, measured in the PDF that its link leads to. */
async function printed(page: Page, link: string): Promise<PdfLine[]> {
  const address = await page.getByRole('link', { name: link, exact: true }).getAttribute('href');
  const pdf = await page.request.get(address ?? '', AGAIN_IF_CLOSED);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  return pdfLines(await pdf.body());
}

test('a stopper is fitted by insert or by its own thread, and what differs is seen', async ({ page }) => {
  await enterDemo(page);
  await planOf(page, 'Dovecote carafe stopper', 'Drill');
  await expect(bores(page)).toHaveCount(1);
  await expect(bores(page).first()).toContainText('brad point 11.6 mm · insert hole');
  await expect(bores(page).first()).toContainText('25.0 mm');
  const ways = page.getByRole('table', { name: 'Ways to fit the hardware' });
  await expect(ways.getByRole('row', { name: /^waits/ })).toContainText('12 h');
  await ways.getByRole('radio', { name: 'Its thread straight into the wood' }).click();
  await expect(bores(page).first()).toContainText('stud hole');
  // held by the same mandrel, without the glue's night between
  await toStage(page, 'Assemble');
  await expect(page.getByRole('heading', { name: 'Drive the stud in' })).toBeVisible();
  // marks from another datum count backwards before it
  await toStage(page, 'Mark');
  await page.getByRole('button', { name: /^Measure from collar, [^c]/ }).click();
  const marks = page.getByRole('table', { name: 'Marks of the story stick' });
  await expect(marks.getByRole('row', { name: /collar(?!, crown)/ })).toContainText('all from here');
  await expect(marks.getByRole('row', { name: /reference end/ })).toContainText('−27.0 mm');

  await planOf(page, 'Lantern stopper', 'Drill');
  await expect(bores(page).first()).toContainText('stud hole');
  await expect(page.getByText('The stud cuts its own thread.')).toBeVisible();
  await toStage(page, 'Mount');
  await expect(page.getByRole('heading', { name: /Held on the stud 8 mandrel/ })).toBeVisible();
  await expect(page.getByText('Fibre washer between flange and wood.')).toBeVisible();
});

test('tangs, sockets and cross holes: stairs, two callipers, the smaller first', async ({ page }) => {
  await enterDemo(page);
  await planOf(page, 'Seed awl handle', 'Drill');
  await expect(page.getByRole('heading', { name: /3 bores in each/ })).toBeVisible();
  await expect(bores(page).last()).toContainText('twist 17/64″');
  await expect(bores(page).last()).toContainText('Try the tang');

  await planOf(page, 'Bramble hook handle', 'Drill');
  await expect(bores(page).last()).toContainText(
    'inside calliper at 14.0 mm for the mouth, at 9.0 mm for 48.0 mm deep',
  );

  await planOf(page, 'Meadow launcher', 'Drill');
  await expect(bores(page)).toHaveCount(2);
  await expect(bores(page).first()).toContainText('cord hole');
  await expect(bores(page).first()).toContainText('Before stem hole, which it meets');
  // later than in the square nothing backs the exit
  await choose(page, 'When to drill: cord hole', 'after shaping');
  await expect(page.getByText(/comes out of a round without anything behind it/)).toBeVisible();
  await toStage(page, 'Mount');
  await page.getByRole('radio', { name: /By a tenon in the chuck/ }).click();
  await expect(page.getByRole('heading', { name: 'Held by a tenon in the chuck' })).toBeVisible();
  await page.getByText('round', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Centres of round stock' })).toBeVisible();
});

test('a rolling pin with its template: the sheets measure what the plan says', async ({ page }) => {
  await enterDemo(page);
  await planOf(page, 'Dumpling rolling pin', 'Mark');
  await page.getByText('Copying template', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The template reaches everything' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page.getByRole('link', { name: 'To the lathe' })).toBeVisible();

  await page.getByText('Copying template', { exact: true }).click();
  const template = await printed(page, 'copying template as PDF');
  // the barrel is 18 at its ends and 26 in the middle: the edge rises by 4 from the flat lead to the split
  const edge = template.filter((l) => l.page === 0 && l.x1 > l.x0 && l.x1 - l.x0 < 20 && l.y0 < 60);
  const lead = template.find(
    (l) => l.page === 0 && Math.abs(l.x1 - l.x0 - 15) < 0.3 && Math.abs(l.y1 - l.y0) < 0.05,
  );
  const top = Math.min(...edge.flatMap((l) => [l.y0, l.y1]));
  expect(Math.abs((lead?.y0 ?? 0) - top - 4)).toBeLessThan(0.1);
  await page.getByRole('textbox', { name: 'The 100 mm between the notches measure' }).fill('99.4');
  await page.getByRole('textbox', { name: 'The 100 mm between the notches measure' }).press('Enter');
  await expect(page.getByText(/too short. Print it again at 100.60 %/)).toBeVisible();

  await page.getByText('Marks and sizes', { exact: true }).click();
  const stick = await printed(page, 'story stick as PDF');
  const marks = [...new Set(uprights(stick, 22).map((x) => x.toFixed(2)))].map(Number);
  const shown = await page
    .getByRole('table', { name: 'Marks of the story stick' })
    .locator('tbody tr')
    .evaluateAll((rows) =>
      rows.map((row) => Number(/([\d.]+)\s*mm/.exec(row.children[2]?.textContent ?? '')?.[1])),
    );
  expect(marks).toHaveLength(shown.length);
  shown.forEach((x, i) => expect(Math.abs((marks[i] ?? 0) - (marks[0] ?? 0) - x)).toBeLessThan(0.1));
  for (const sheet of ['strip to wrap round', 'half profile card'])
    expect((await printed(page, `${sheet} as PDF`)).length).toBeGreaterThan(4);

  await page.getByText('Gauges', { exact: true }).click();
  const slots = await printed(page, 'slot gauges as PDF');
  const wanted = await page.locator('.sizes li').first().textContent();
  const size = Number.parseFloat(wanted ?? '');
  // the first slot's bottom is as long as its size
  expect(slots.some((l) => Math.abs(l.x1 - l.x0 - size) < 0.1 && Math.abs(l.y1 - l.y0) < 0.01)).toBe(true);
});
