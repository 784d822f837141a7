import { expect } from '@playwright/test';
import { AGAIN_IF_CLOSED, choose, enterDemo, keepPlan, test } from './door.js';

test('an order of two lines is written down, one is planned by way of the Bench, and the other taken out', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Orders', exact: true }).click();
  await page.getByRole('button', { name: 'New order' }).click();
  await page.getByLabel('For whom').fill('Millrace Bakery');
  await choose(page, 'What, line 1', 'Dumpling rolling pin');
  await page.getByLabel('How many, line 1').fill('2');
  await page.getByRole('button', { name: 'One more line' }).click();
  await choose(page, 'What, line 2', 'Acorn light pull');
  await page.getByRole('button', { name: 'Write it down' }).click();
  const order = page.getByRole('article', { name: 'Order for Millrace Bakery' });
  await expect(order.getByText('not planned yet')).toHaveCount(2);

  // begun, left for the Bench, and there again
  await order
    .getByRole('row', { name: /Dumpling/ })
    .getByRole('link', { name: 'Plan it' })
    .click();
  // what was ordered is a line of words; it opens to be chosen otherwise
  await page.getByRole('button', { name: /^2 for Millrace Bakery.*change$/ }).click();
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue('2');
  const kept = page.waitForResponse((r) => r.url().endsWith('/choices') && r.ok());
  await choose(page, 'Material', 'Ash');
  await kept;
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  const waiting = page
    .getByRole('article')
    .filter({ hasText: 'Millrace Bakery' })
    .filter({ hasText: 'Dumpling' });
  await expect(waiting.getByText('a plan is begun')).toBeVisible();
  await waiting.getByRole('link', { name: 'Go on planning' }).click();
  await expect(page.getByRole('button', { name: /^2 for Millrace Bakery.*; ash, .*change$/ })).toBeVisible();
  await keepPlan(page);
  await expect(page.getByText('for Millrace Bakery')).toBeVisible();

  await page.getByRole('link', { name: 'Orders', exact: true }).click();
  await expect(order.getByText('2 being made')).toBeVisible();
  await expect(order.getByText('not planned yet')).toHaveCount(1);
  // the other one is not wanted after all
  await order.getByRole('button', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Take line 2 out' }).click();
  await page.getByRole('button', { name: 'Save the order' }).click();
  await expect(order.getByText('Acorn light pull')).toHaveCount(0);
});

test('what is ready is handed over with a sheet, and is here again when it was a mistake', async ({
  page,
}) => {
  await enterDemo(page);
  await page.getByRole('link', { name: 'Orders', exact: true }).click();
  const order = page.getByRole('article', { name: 'Order for Thistledown Toys' });
  await order.getByRole('button', { name: 'Hand over 2' }).click();
  const panel = page.getByRole('region', { name: 'Hand over to Thistledown Toys' });
  await expect(panel.getByText('2 × Meadow top with launcher, no. 1, 2')).toBeVisible();
  const sheet = await page.request.get(
    (await panel.getByRole('link', { name: 'Print the delivery sheet' }).getAttribute('href')) ?? '',
    AGAIN_IF_CLOSED,
  );
  expect(sheet.headers()['content-type']).toBe('application/pdf');
  await panel.getByRole('button', { name: 'Handed over' }).click();
  await expect(order.getByText('2 handed over, 3 being made')).toBeVisible();
  await order.getByRole('button', { name: 'It is here after all' }).click();
  await expect(order.getByText('2 ready (no. 1, 2), 3 being made')).toBeVisible();
});
