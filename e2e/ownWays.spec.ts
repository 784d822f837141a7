import { expect, type Page } from '@playwright/test';
import { choose, enterDemo, test } from './door.js';

/** The plan of a pattern in one of its stages. */
async function plan(page: Page, pattern: RegExp, stage: string): Promise<void> {
  await page.getByRole('link', { name: 'Patterns' }).click();
  await page.locator('.shelf').getByRole('link', { name: pattern }).click();
  await page.getByRole('button', { name: 'Order some' }).click();
  await stageOf(page, stage);
}

/** Goes to a stage, and waits until it is there: what was begun to be planned may still be on its way. */
async function stageOf(page: Page, stage: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: stage });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
}

/** Opens the order; a press that comes while the plan is drawn anew is made again, as somebody would. */
async function openOrder(page: Page): Promise<void> {
  const change = page.getByRole('button', { name: /change$/ });
  const order = page.getByRole('group', { name: 'Order', exact: true });
  await expect(async () => {
    if (await change.isVisible()) await change.click({ timeout: 2_000 });
    await expect(order).toBeVisible({ timeout: 2_000 });
  }).toPass();
}

/** Takes the handle of a cut and drops it on another one. */
async function drag(page: Page, cut: string, onto: string): Promise<void> {
  const handle = (name: string) => page.getByRole('button', { name: `Move the ${name}`, exact: true });
  await handle(cut).scrollIntoViewIfNeeded();
  const [from, to] = await Promise.all([handle(cut).boundingBox(), handle(onto).boundingBox()]);
  if (!from || !to) throw new Error(`No handle of ${cut} or ${onto} is in sight.`);
  const middle = ({ x, y, width, height }: NonNullable<typeof from>) =>
    [x + width / 2, y + height / 2] as const;
  await page.mouse.move(...middle(from));
  await page.mouse.down();
  await page.mouse.move(...middle(from), { steps: 2 });
  await page.mouse.move(...middle(to), { steps: 12 });
  await page.mouse.up();
}

test('an order of cuts is dragged into a warning and back', async ({ page }) => {
  await enterDemo(page);
  await plan(page, /Skylark desk top/, 'Turn');
  const order = page.getByRole('list', { name: 'Order of cuts' });
  const cuts = order.getByRole('listitem');
  await expect(cuts).not.toHaveCount(0);
  const usual = await cuts.locator('b').allTextContents();
  expect(usual.at(-1)).toBe('stem');
  const findings = page.getByRole('list', { name: 'Findings' });

  await drag(page, 'stem', usual[0]!);
  await expect(cuts.first()).toContainText('stem');
  await expect(findings).toContainText('the stem is thin already');
  await expect(order.getByRole('note').first()).toContainText('in the usual order');
  await expect(page.getByRole('list', { name: 'Done your way' })).toContainText('Stem before');
  // the steps follow: the stem is turned before the rest
  const lines = page.getByRole('list', { name: 'How it is made' }).locator('li > b');
  const titles = async () => (await lines.allTextContents()).map((t) => t.toLowerCase());
  await expect
    .poll(async () => (await titles()).indexOf('stem') < (await titles()).indexOf('rim'))
    .toBe(true);

  // what is in the address survives a reload
  await page.reload();
  await expect(cuts.first()).toContainText('stem');
  await expect(cuts).toHaveCount(usual.length);
  await drag(page, 'stem', usual.at(-2)!);
  await expect(page.getByRole('list', { name: 'Done your way' })).toHaveCount(0);
  await expect(order.getByRole('note')).toHaveCount(0);
  expect(await cuts.locator('b').allTextContents()).toEqual(usual);
});

test('“no sanding” becomes the habit of a wood, stands in the next plan, and goes again', async ({
  page,
}) => {
  const wood = 'Hawthorn';
  await enterDemo(page);
  await plan(page, /Dovecote carafe stopper/, 'Surface');
  await openOrder(page);
  await choose(page, 'Material', wood);
  await expect(page.getByRole('heading', { name: /^Sand with/ })).toBeVisible();
  await page.getByRole('button', { name: 'Sand it otherwise' }).click();
  await page.getByRole('button', { name: 'none, straight from the tool' }).click();
  await choose(page, 'Holds for: Sand it otherwise', `everything in ${wood.toLowerCase()}`);
  await page.getByLabel('Why: Sand it otherwise').fill('the skew leaves it better');
  await page.getByRole('button', { name: 'Do it so' }).click();
  const own = page.getByRole('list', { name: 'Done your way' });
  await expect(own).toContainText('No sanding');
  await expect(page.getByRole('heading', { name: 'Straight from the tool' })).toBeVisible();

  await plan(page, /Acorn light pull/, 'Surface');
  await expect(own).toHaveCount(0);
  await openOrder(page);
  await choose(page, 'Material', wood);
  await expect(own).toContainText('“the skew leaves it better”');
  await expect(own).toContainText('Maren');
  await stageOf(page, 'Turn');
  const route = page.getByRole('list', { name: 'How it is made' });
  await expect(route).not.toContainText('Sand P');

  await stageOf(page, 'Surface');
  await page.getByRole('button', { name: 'As usual: no sanding' }).click();
  await expect(page.getByRole('heading', { name: /^Sand with/ })).toBeVisible();
  await expect(own).toHaveCount(0);
});

test('a kept plan is done otherwise where it stands: a step left out, one put in, kept as its next version', async ({
  page,
}) => {
  await enterDemo(page);
  await plan(page, /Garden dibber/, 'Turn');
  await openOrder(page);
  await page.getByLabel('How many').fill('1');
  await page.getByLabel('How many').press('Tab');
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page.getByRole('link', { name: 'To the lathe' })).toBeVisible();
  await stageOf(page, 'Turn');

  await page.getByRole('button', { name: 'Otherwise: Mark from the story stick' }).click();
  await page.getByLabel('What of: Mark from the story stick').getByText('leave it out').click();
  await page.getByLabel(/^Why: leave it out/).fill('by eye this time');
  await page.getByRole('button', { name: 'Do it so' }).click();
  const own = page.getByRole('list', { name: 'Done your way' });
  await expect(own).toContainText('by eye this time');
  await page
    .getByRole('button', { name: /^Otherwise: Sand/ })
    .last()
    .click();
  await page
    .getByLabel(/^What of: Sand/)
    .getByText('own step after it')
    .click();
  await page.getByLabel('What is done').fill('Stamp the depth marks');
  await page.getByRole('button', { name: 'Do it so' }).click();
  await expect(own).toContainText('Stamp the depth marks');
  await page.getByRole('button', { name: 'Keep it as plan 2' }).click();
  await expect(page.getByText(/plan 2\./)).toBeVisible();

  await page.getByRole('link', { name: 'To the lathe' }).click();
  const steps = page.getByRole('list', { name: 'Steps of this piece' });
  await expect(steps).toContainText('Stamp the depth marks');
  await expect(steps).not.toContainText('Mark from the story stick');
});
