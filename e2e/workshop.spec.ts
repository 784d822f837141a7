import { expect } from '@playwright/test';
import { choose, enterDemo, OUTSIDE, test } from './door.js';

test('a bit taken away: every open plan says what it does instead', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/workshop/bits');
  await expect(page.locator('aside').getByText('Goes on as planned').first()).toBeVisible();
  const row = page.locator('tr', { has: page.locator('input[value="11.6"]') });
  await row.getByRole('button', { name: /Take bit/ }).click();
  const stopper = page.locator('.finding', { hasText: '6 × Dovecote carafe stopper' });
  await expect(stopper).toContainText('insert hole: 12.0');
  await page.getByRole('button', { name: 'Take changes back' }).click();
  await expect(stopper).toContainText('Goes on as planned');
});

test.describe('somebody new', () => {
  test.use({ storageState: OUTSIDE });

  test('a new workshop: the guided minimum, a first pattern, a plan, and a maker invited by a link', async ({
    page,
    browser,
  }) => {
    await page.goto('/sign-in');
    await page.getByText('New workshop').click();
    await page.getByLabel('Name of the workshop').fill('Thistledown Shed');
    await page.getByLabel('Your name').fill('Ivo Larch');
    await page.getByLabel('E-mail address').fill('ivo@thistledown.example');
    await page.getByLabel(/^Password/).fill('elm and ash and oak');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('To plan a first batch the workshop still needs')).toBeVisible();
    await page.getByRole('button', { name: 'Add all of it' }).click();
    await page.getByRole('button', { name: 'Save the workshop' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();

    await page.getByRole('link', { name: 'Patterns' }).click();
    await page.getByRole('button', { name: 'New pattern' }).click();
    await page.getByRole('radio', { name: /Finial/ }).click();
    await page.getByLabel('Name', { exact: true }).fill('Newel finial');
    await page.getByLabel('Peg fits a hole of').fill('3/8 in');
    await page.getByRole('button', { name: 'Make the pattern' }).click();
    await expect(page.getByLabel('Name of the pattern')).toHaveValue('Newel finial');
    await expect(page.getByRole('textbox', { name: 'peg, for a hole of' })).toHaveValue('3/8 in');
    await page.getByRole('button', { name: 'Order some' }).click();
    await choose(page, 'Material', 'Oak');
    await expect(page.getByRole('heading', { name: /Saw 12 blanks/ })).toBeVisible();

    await page.goto('/workshop/members');
    await page.getByRole('button', { name: 'Make a link' }).click();
    const link = (await page.locator('code').textContent()) ?? '';
    const other = await (await browser.newContext({ storageState: OUTSIDE })).newPage();
    await other.goto(link);
    await expect(other.getByRole('heading', { name: 'Join Thistledown Shed' })).toBeVisible();
    await other.getByLabel('Your name').fill('Pim Alder');
    await other.getByLabel('E-mail address').fill('pim@thistledown.example');
    await other.getByLabel(/^Password/).fill('a dozen long shavings');
    await other.getByRole('button', { name: 'Join' }).click();
    await expect(other.getByText('The bench is clear.')).toBeVisible();
    await other.goto('/workshop/lathe');
    await expect(other.getByText('Only an owner can change the workshop.')).toBeVisible();
  });
});
