import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { choose, enterDemo, test } from './door.js';

/** Orders so many of a pattern for somebody, as it is usually made. */
async function order(page: Page, pattern: string, pieces: number, customer: string, material: string) {
  await page.getByRole('link', { name: 'Patterns' }).click();
  await page
    .locator('.shelf')
    .getByRole('link', { name: new RegExp(pattern) })
    .click();
  await page.getByRole('button', { name: 'Order some' }).click();
  await page.getByLabel('How many').fill(String(pieces));
  await page.getByLabel('How many').press('Tab');
  await page.getByLabel('For whom').fill(customer);
  await page.getByLabel('For whom').press('Tab');
  await choose(page, 'Material', material);
  await expect(page.getByRole('heading', { name: new RegExp(`Saw ${pieces} blanks`) })).toBeVisible();
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page).toHaveURL(/\/batches\//);
}

const dayIn = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

test('two orders are cut from boards, a log is split and dries to its day, and the ledger balances', async ({
  page,
}) => {
  await enterDemo(page);

  await test.step('two orders', async () => {
    await order(page, 'Garden dibber', 6, 'Tansy Close School', 'Ash');
    await order(page, 'Bench chisel handle', 10, 'Fennel Row Joinery', 'Ash');
  });

  await test.step('are planned together, to a proven bound', async () => {
    await page.getByRole('link', { name: 'Which boards to cut them from' }).click();
    const orders = page.getByRole('list', { name: 'Orders' });
    await expect(orders.getByRole('checkbox', { name: /Fennel Row/ })).toBeChecked();
    await expect(orders.getByRole('checkbox', { name: /Tansy Close/ })).not.toBeChecked();
    await orders.getByRole('checkbox', { name: /Tansy Close/ }).check();
    await page.getByRole('button', { name: 'Plan the cutting' }).click();
    await expect(page.getByRole('heading', { name: 'Saw list' })).toBeVisible();
    await expect(page.getByText(/No way of cutting in this order/)).toBeVisible();
    await expect(page.locator('.cut-board').first()).toBeVisible();
    const list = page.getByRole('region', { name: 'Saw list' });
    const sets = await list.locator('li', { hasText: 'Stop' }).locator('.saw-set').allInnerTexts();
    expect(new Set(sets).size).toBe(sets.length);
    await page.getByRole('button', { name: 'Keep this plan' }).click();
    await expect(page).toHaveURL(/\/stock\/cutting\/[0-9a-f-]{36}/);
  });

  await test.step('the cutting is recorded: boards go, blanks and offcuts come', async () => {
    await page.getByRole('button', { name: 'The boards are cut' }).click();
    await page.getByRole('button', { name: 'Yes, write it down' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'off the shelf' })).toBeVisible();
    await page.getByRole('link', { name: 'See the ledger' }).click();
    await expect(page.getByRole('heading', { name: 'The ledger balances.' })).toBeVisible();
    await page.getByLabel('Search the ledger').fill('Garden dibber for Tansy Close School, from');
    // until the answer is there the lines from before stand: what is left must be what was searched
    const lines = page.locator('tbody tr');
    await expect(lines.filter({ hasNotText: 'Garden dibber for Tansy Close School, from' })).toHaveCount(0);
    await expect(lines.filter({ hasText: 'cut up' }).first()).toBeVisible();
    await page.getByRole('link', { name: 'Shelf' }).click();
    const blanks = page.getByRole('button', { name: /Bench chisel handle for .*, from Ash/ }).first();
    await blanks.click();
    await expect(page.locator('.stock-aside')).toContainText('From yard in the valley.');
    await page.goto('/stock/cutting');
    await expect(page.getByRole('list', { name: 'Orders' })).not.toContainText('Tansy Close');
  });

  await test.step('a log is split and laid down to dry', async () => {
    await page.getByRole('link', { name: 'Logs' }).click();
    await choose(page, 'Log', 'Birch log from the lane');
    await expect(page.getByText(/they become an oval of/)).toBeVisible();
    await page.getByLabel('Across when dry, before turning').fill('52');
    await page.getByLabel('Across when dry, before turning').press('Enter');
    const best = page.getByRole('heading', { name: /billets, split into/ });
    await expect(best).toBeVisible();
    await page
      .getByRole('row', { name: /sixths/ })
      .getByRole('button')
      .click();
    await expect(page.getByRole('heading', { name: /split into 6/ })).toBeVisible();
    await page.getByLabel('Weight of all').fill('9600');
    await page.getByRole('button', { name: 'The log is split' }).click();
    await expect(page.getByText('Two weighings make a curve').first()).toBeVisible();
  });

  await test.step('the bundle is weighed and followed to its day', async () => {
    const weigh = async (day: string, grams: number) => {
      await page.getByLabel('Day of the weighing').fill(day);
      await page.getByLabel('Weight, g').fill(String(grams));
      await page.getByLabel('Weight, g').press('Tab');
    };
    await weigh(dayIn(4), 9900);
    await expect(page.getByRole('alert')).toContainText('is more than 9600 g');
    await expect(page.getByRole('button', { name: 'Write the weight down' })).toBeDisabled();
    for (const [days, grams] of [
      [4, 8600],
      [9, 7750],
      [16, 7010],
    ] as const) {
      await weigh(dayIn(days), grams);
      await page.getByRole('button', { name: 'Write the weight down' }).click();
      await expect(page.getByText(`${dayIn(days)} ${grams} g`)).toBeVisible();
    }
    await expect(page.getByRole('heading', { name: /^11 % on/ })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Moisture of Billet/ })).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Days for the calendar (ICS)' }).click();
    const calendar = await readFile(await (await download).path(), 'utf8');
    expect(calendar).toMatch(/SUMMARY:Can be turned: Billet \d+/);
  });

  await test.step('an order of that wood waits for it', async () => {
    await page.getByRole('link', { name: 'Patterns' }).click();
    await page
      .locator('.shelf')
      .getByRole('link', { name: /Dumpling rolling pin/ })
      .click();
    await page.getByRole('button', { name: 'Order some' }).click();
    await choose(page, 'Material', 'Birch');
    await page.getByRole('combobox', { name: 'Wood' }).click();
    await page
      .locator('.ant-select-dropdown:visible')
      .getByText(/^Billet \d+/)
      .click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Time/ }).click();
    await expect(page.getByText('Waiting for the wood')).toBeVisible();
    await expect(page.getByText(/days later than wished/)).toBeVisible();
  });

  await test.step('and the ledger still balances', async () => {
    await page.goto('/stock/ledger');
    await expect(page.getByRole('heading', { name: 'The ledger balances.' })).toBeVisible();
  });
});

test('a stock list is looked at before it is taken in, and bad rows are named', async ({ page }) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Stock', exact: true }).click();
  const read = async () => {
    await page.locator('input[type=file]').setInputFiles({
      name: 'stock.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        [
          'kind,label,material,length,thickness,width,pieces,price',
          'board,Elm from the mill,Elm,1600,60,200,2,45 / m²',
          'board,Dear elm,Elm,1600,60,200,2,45',
          'board,Thin elm,Elm,1600,none,200,1,',
        ].join('\n'),
      ),
    });
    const dialog = page.getByRole('dialog', { name: 'Stock list' });
    await expect(dialog.getByRole('list', { name: 'Bad rows' })).toContainText(
      'Row 3: The price “45” has no unit',
    );
    await expect(dialog.getByRole('list', { name: 'Bad rows' })).toContainText('Row 4: thickness:');
    return dialog;
  };
  await (await read()).getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText('Elm from the mill')).toBeHidden();
  await (await read()).getByRole('button', { name: 'Take in the 1 good rows' }).click();
  await page.getByRole('button', { name: /Elm from the mill/ }).click();
  await expect(
    page.locator('.stock-aside').getByRole('heading', { name: 'Elm from the mill' }),
  ).toBeVisible();
  await page.getByLabel('Amount').fill('3');
  await page.getByRole('button', { name: 'Write it in the ledger' }).click();
  await expect(page.getByRole('alert')).toContainText('There are 2 of “Elm from the mill”, not 3.');
});
