import { expect, test } from '@playwright/test';
import { enterDemo } from './door.js';

test.beforeEach(({ page }) => enterDemo(page));

test('the lathe screen locks, doubts broken numbers, corrects, times through a reload and rejects', async ({
  page,
}) => {
  await page
    .locator('.bench-row', { hasText: '20 × Acorn light pull' })
    .getByRole('button', { name: 'To the lathe' })
    .click();

  await test.step('a step that comes later is locked, with the reason', async () => {
    await page.getByRole('button', { name: /^Piece 1,/ }).click();
    const steps = page.getByLabel('Steps of this piece');
    await steps.getByRole('button', { name: 'Size, shape', exact: false }).click();
    await steps.getByRole('button', { name: 'Mark from the story stick' }).click();
    await expect(page.locator('.run-hold')).toContainText('comes first');
  });

  await test.step('a reading with a slipped decimal point is doubted, and the raw text kept', async () => {
    await page.getByLabel('Steps of this piece').getByRole('button', { name: 'Measure' }).click();
    await page.getByRole('button', { name: 'Do it all the same' }).click();
    await page.getByLabel('Why is it right this time?').fill('measuring a spare');
    await page.getByRole('button', { name: 'Unlock' }).click();
    await page.getByLabel(/^Measure /).fill('90');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('the decimal point seems to have slipped');
    await page.getByRole('button', { name: 'Yes' }).click();
    await expect(page.locator('.run-readings li').first()).toContainText('Right on size.');
  });

  await test.step('a fat reading says what to do, and can be corrected with a reason', async () => {
    const label = await page.locator('.run-reading label').textContent();
    const should = parseFloat((await page.locator('.run-figure').textContent()) ?? '');
    await page.getByLabel(label ?? '').fill((should + 0.9).toFixed(2));
    await page.keyboard.press('Enter');
    const reading = page.locator('.run-readings li').nth(1);
    await expect(reading).toContainText('light passes');
    await reading.getByRole('button', { name: 'correct' }).click();
    await page.getByLabel('It is').fill(should.toFixed(2));
    await page.getByLabel('because').fill('calliper on the bark side');
    await page.getByRole('button', { name: 'Correct it' }).click();
    await expect(reading).toContainText('corrected: calliper on the bark side');
  });

  // in the chuck all is one run, sanding with it
  const toFirstGrit = async () => {
    const steps = page.getByLabel('Steps of this piece');
    await steps.getByRole('button', { name: 'Rough, size, shape' }).click();
    await steps.getByRole('button', { name: 'Sand P150' }).click();
  };
  await test.step('a grit timer runs on through a reload', async () => {
    await toFirstGrit();
    await page.getByRole('button', { name: 'Do it all the same' }).click();
    await page.getByLabel('Why is it right this time?').fill('trying the timer');
    await page.getByRole('button', { name: 'Unlock' }).click();
    await page.getByRole('button', { name: /^P150, start/ }).click();
    await expect(page.getByRole('button', { name: /^P150, \d+ seconds left/ })).toBeVisible();
    await expect(page.locator('.run-connection')).toContainText('all saved');
    await page.reload();
    await page.getByRole('button', { name: /^Piece 1,/ }).click();
    await toFirstGrit();
    await expect(page.getByRole('button', { name: /^P150, \d+ seconds left/ })).toBeVisible();
  });

  await test.step('a rejected piece asks for the cause', async () => {
    await page.getByRole('button', { name: 'Reject this piece' }).click();
    await page.getByLabel('What was the cause?').fill('knot or flaw');
    await page.getByRole('button', { name: 'Reject', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Piece 1, rejected' })).toBeVisible();
  });
});

test('the lathe screen opens and works after a reload without network', async ({ page, context }) => {
  await page
    .locator('.bench-row', { hasText: 'Bench chisel handle' })
    .getByRole('button', { name: 'Go on' })
    .click();
  await expect(page.locator('.run-what h1')).toHaveText('Trial fit');
  // the browser keeps the application itself once its worker is in charge
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await expect(page.locator('.run-what h1')).toHaveText('Trial fit');
  await context.setOffline(true);
  await page.reload();
  await expect(page.locator('.run-what h1')).toHaveText('Trial fit');
  await page.getByRole('button', { name: 'It fits' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.locator('.run-piece')).toHaveText('piece 7 of 8');
  await page.reload();
  await expect(page.locator('.run-piece')).toHaveText('piece 7 of 8');
  await context.setOffline(false);
  await expect(page.locator('.run-connection')).toContainText('all saved', { timeout: 30_000 });
});
