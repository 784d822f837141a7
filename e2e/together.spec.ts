import { expect, type Page } from '@playwright/test';
import { OUTSIDE, signIn, test } from './door.js';

test.use({ storageState: OUTSIDE });

const lengthOf = (page: Page) => page.getByRole('textbox', { name: 'ball, ball diameter', exact: true });
const nameOf = (page: Page) => page.getByLabel('Name of the pattern');
const title = 'Knob that two turn';

test('two change one pattern: what only one changed goes together, what both changed is asked', async ({
  page,
  browser,
}) => {
  await signIn(page, 'maren@quillhaven.example');
  await page.goto('/patterns/new');
  await page.getByRole('radio', { name: /^Silhouette of Ball/ }).click();
  await page.getByPlaceholder(/./).first().fill(title);
  await page.getByRole('button', { name: 'Make the pattern' }).click();
  await expect(nameOf(page)).toHaveValue(title);

  const other = await (await browser.newContext({ storageState: OUTSIDE })).newPage();
  await signIn(other, 'tobi@quillhaven.example');
  await other.goto(page.url());
  await expect(nameOf(other)).toHaveValue(title);

  await test.step('each changed another field: both stand', async () => {
    await give(lengthOf(other), '41');
    await saveAs(other, 2);
    await nameOf(page).fill(`${title}, large`);
    await page.getByRole('button', { name: 'Save as revision 2' }).click();
    await expect(page.getByText('together with what Tobi Ferrow changed')).toBeVisible();
    await expect(lengthOf(page)).toHaveValue('41');
    await expect(nameOf(page)).toHaveValue(`${title}, large`);
  });

  await test.step('both changed the diameter: nothing is lost before one is chosen', async () => {
    await other.reload();
    await give(lengthOf(page), '44');
    await give(lengthOf(other), '43');
    await other.getByRole('button', { name: /^Save as revision/ }).click();
    await expect(other.getByText(/^Saved/)).toBeVisible();
    await page.getByRole('button', { name: /^Save as revision/ }).click();
    const dialog = page.getByRole('dialog', { name: /Tobi Ferrow changed it too/ });
    await expect(dialog).toContainText('diameter');
    await dialog.getByRole('button', { name: 'Not now, keep mine here' }).click();
    await expect(lengthOf(page)).toHaveValue('44');
    await page.reload();
    await expect(lengthOf(page)).toHaveValue('44');
    await page.getByRole('button', { name: /^Save as revision/ }).click();
    await dialog.getByRole('radio', { name: /Tobi Ferrow: 43/ }).click();
    await dialog.getByRole('button', { name: 'Save it so' }).click();
    await expect(dialog).toBeHidden();
    await expect(lengthOf(page)).toHaveValue('43');
  });
});

async function give(field: ReturnType<typeof lengthOf>, value: string): Promise<void> {
  await field.fill(value);
  await field.press('Enter');
}

async function saveAs(page: Page, revision: number): Promise<void> {
  await page.getByRole('button', { name: `Save as revision ${revision}` }).click();
  await expect(page.getByRole('button', { name: `Revision ${revision}`, exact: true })).toBeVisible();
}
