import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { enterDemo, test } from './door.js';
import { shareOf } from './share.js';

interface Screen {
  name: string;
  open: (page: Page) => Promise<void>;
  /** it has an address of its own, and is not come to by the Bench */
  direct?: true;
}

/** Every screen by the path a person takes to it from the Bench, or by its address. */
const SCREENS: Screen[] = [
  { name: 'bench', open: () => Promise.resolve() },
  { name: 'orders', direct: true, open: async (page) => void (await page.goto('/orders')) },
  {
    name: 'an order written down, and one handed over',
    direct: true,
    open: async (page) => {
      await page.goto('/orders');
      await page.getByRole('button', { name: 'New order' }).click();
      await page
        .getByRole('button', { name: /^Hand over/ })
        .first()
        .click();
      await expect(page.getByText('Print the delivery sheet')).toBeVisible();
    },
  },
  { name: 'patterns', open: (page) => page.getByRole('link', { name: 'Patterns' }).click() },
  {
    name: 'pattern',
    open: async (page) => {
      await page.getByRole('link', { name: 'Patterns' }).click();
      await page
        .locator('.shelf')
        .getByRole('link', { name: /Bench chisel handle/ })
        .click();
    },
  },
  ...['Holes', 'Parts and joins', 'Surface and checks', 'Source and mates'].map((tab) => ({
    name: `pattern, ${tab.toLowerCase()}`,
    open: async (page: Page) => {
      await page.getByRole('link', { name: 'Patterns' }).click();
      await page
        .locator('.shelf')
        .getByRole('link', { name: /Meadow top/ })
        .click();
      await page.getByRole('tab', { name: new RegExp(tab) }).click();
    },
  })),
  { name: 'copy', direct: true, open: async (page) => void (await page.goto('/patterns/copy')) },
  {
    name: 'compare',
    open: async (page) => {
      await page.getByRole('link', { name: 'Patterns' }).click();
      await page
        .locator('.shelf')
        .getByRole('link', { name: /Dovecote/ })
        .click();
      await page.getByRole('link', { name: 'Compare' }).click();
    },
  },
  { name: 'new pattern', direct: true, open: async (page) => void (await page.goto('/patterns/new')) },
  ...['stock', 'drill', 'mount', 'mark', 'turn', 'surface', 'assemble', 'time'].map((stage) => ({
    name: stage,
    open: async (page: Page) => {
      await page.getByRole('link', { name: '8 × Bench chisel handle' }).click();
      await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: new RegExp(`^\\W*${stage}`, 'i') })
        .click();
    },
  })),
  ...['Gauges', 'Copying template'].map((sheet) => ({
    name: `mark, ${sheet.toLowerCase()}`,
    open: async (page: Page) => {
      await page.getByRole('link', { name: '12 × Dovecote carafe stopper' }).first().click();
      await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Mark' }).click();
      await page.getByText(sheet, { exact: true }).click();
    },
  })),
  ...['drill', 'mount', 'mark?sheet=ball'].map((stage) => ({
    name: `plan in the making, ${stage}`,
    direct: true as const,
    open: async (page: Page) => {
      await page.goto('/patterns');
      await page
        .locator('.shelf')
        .getByRole('link', { name: stage.startsWith('mark') ? /Nine-pin ball/ : /Seed awl handle/ })
        .click();
      await expect(page.getByText('History')).toBeVisible();
      await page.goto(`${page.url().replace(/\/$/, '')}/plan/${stage}`);
    },
  })),
  {
    name: 'run',
    open: (page) =>
      page.locator('.bench-row', { hasText: 'Acorn light pull' }).getByRole('button').first().click(),
  },
  { name: 'twins', open: (page) => page.getByRole('button', { name: 'Are they twins?' }).first().click() },
  ...['', '/cutting', '/logs', '/drying', '/cylinder', '/materials', '/ledger'].map((room) => ({
    name: `stock ${room}`,
    direct: true as const,
    open: async (page: Page) => void (await page.goto(`/stock${room}`)),
  })),
  {
    name: 'a kit opened',
    direct: true,
    open: async (page) => {
      await page.goto('/workshop/kits');
      await page.getByRole('button', { name: /Carafe base with tapped insert/ }).click();
    },
  },
  {
    name: 'a cutting plan',
    direct: true,
    open: async (page) => {
      await page.goto('/stock/cutting');
      await page.getByRole('button', { name: 'Plan the cutting' }).click();
      await expect(page.getByRole('heading', { name: 'Saw list' })).toBeVisible();
    },
  },
  {
    name: 'stock taken in',
    direct: true,
    open: async (page) => {
      await page.goto('/stock');
      await page.getByRole('button', { name: 'Take stock in' }).click();
    },
  },
  {
    name: 'a material corrected',
    direct: true,
    open: async (page) => {
      await page.goto('/stock/materials/hazel');
      await page.getByRole('button', { name: 'Correct a value' }).click();
    },
  },
  ...['lathe', 'holding', 'bits', 'gauges', 'kits', 'saws', 'hours', 'habits', 'members'].map((section) => ({
    name: `workshop ${section}`,
    direct: true as const,
    open: async (page: Page) => void (await page.goto(`/workshop/${section}`)),
  })),
];

const settled = (page: Page) => page.waitForLoadState('networkidle');

for (const name of shareOf(SCREENS.map((s) => s.name)))
  test(`the screen “${name}” has no serious fault, and is no wider than a tablet`, async ({ page }) => {
    const { open, direct } = SCREENS.find((s) => s.name === name)!;
    const refused: string[] = [];
    page.on('console', (m) => {
      if (m.text().includes('Content Security Policy')) refused.push(m.text());
    });
    if (!direct) await enterDemo(page);
    await open(page);
    await settled(page);
    await expect(page.locator('main')).not.toBeEmpty();
    // passes and what does not apply are not counted up: that takes half of the time
    const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
    const { violations } = await axe.analyze();
    const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
    expect
      .soft(serious.map((v) => `${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`))
      .toEqual([]);
    // nothing of the screen needs leave for styles or scripts in the page
    expect.soft(refused).toEqual([]);
    await page.setViewportSize({ width: 768, height: 1024 });
    // drawings follow the width a frame later
    const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    await expect.poll(overflow, { message: 'wider than 768 px', timeout: 15_000 }).toBeLessThanOrEqual(0);
  });

test('the desk works with the keyboard, and ? shows how', async ({ page }) => {
  await enterDemo(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('a little more or less');
  await page.keyboard.press('Escape');
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Patterns' })).toBeVisible();
  await page
    .locator('.shelf')
    .getByRole('link', { name: /Garden dibber/ })
    .press('Enter');
  const length = page.getByLabel('shaft, length', { exact: true });
  await length.focus();
  await page.keyboard.press('ArrowUp');
  await expect(length).toHaveValue('92.1');
  await page.getByRole('slider', { name: 'End of shaft' }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('shaft, end diameter', { exact: true })).toHaveValue('27.9');
});

test('lengths are read in the units that are chosen', async ({ page }) => {
  await enterDemo(page);
  await page.getByText('inch ½').click();
  await page.getByRole('link', { name: '12 × Dovecote carafe stopper' }).first().click();
  await expect(page.locator('.work-middle .fraction').first()).toBeVisible();
});
