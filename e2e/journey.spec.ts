import { expect, type Page } from '@playwright/test';
import { AGAIN_IF_CLOSED, endStep, enterByTheDoor, OUTSIDE, test } from './door.js';

test.use({ storageState: OUTSIDE });

/** Does the step of a piece that is on the screen, whatever it asks for, and gives its title. */
async function doStep(
  page: Page,
  piece: number,
  reading: (station: string, shouldBe: number) => string,
): Promise<string> {
  const title = (await page.locator('.run-what h1').textContent()) ?? '';
  const unlock = page.getByRole('button', { name: 'Do it all the same' });
  const doneButton = page.getByRole('button', { name: /^Done(, not (measured|checked))?$/ });
  await expect(unlock.or(doneButton).first()).toBeVisible();
  if (await unlock.isVisible()) {
    await unlock.click();
    await page.getByLabel('Why is it right this time?').fill('Quick glue used for this trial');
    await page.getByRole('button', { name: 'Unlock' }).click();
    await expect(doneButton).toBeVisible();
  }
  for (;;) {
    const entry = page.locator('.run-reading');
    if (!(await entry.isVisible())) break;
    const station = ((await entry.locator('label').textContent()) ?? '').replace('Measure ', '');
    const shouldBe = parseFloat((await page.locator('.run-figure').textContent()) ?? '');
    const before = await page.locator('.run-readings li').count();
    // a calliper that acts as a keyboard: digits, then Enter
    await page.keyboard.type(reading(station, shouldBe));
    await page.keyboard.press('Enter');
    await expect(page.locator('.run-readings li')).toHaveCount(before + 1);
  }
  const fits = page.getByRole('button', { name: 'It fits' });
  if (await fits.isVisible()) await fits.click();
  for (const check of await page.locator('.run-fit[aria-label]').all()) {
    const number = check.locator('input');
    if (await number.isVisible()) await number.fill('64.2');
    await check.getByRole('button', { name: 'It holds' }).click();
    await expect(check.getByRole('button', { name: 'It holds' })).toHaveAttribute('aria-pressed', 'true');
  }
  // what is done in one set-up is ended with one tap
  const allDone = page.getByRole('button', { name: /^All \d+ done/ });
  await endStep(page, (await allDone.isVisible()) ? allDone : doneButton);
  // the piece has gone on once its button names another step
  await expect(page.getByRole('button', { name: `Piece ${piece}, ${title}`, exact: true })).toHaveCount(0);
  return title;
}

test('from the pattern to twins: change a diameter, order a dozen, plan, print, run two pieces, one without network', async ({
  page,
  context,
}) => {
  await enterByTheDoor(page);

  await test.step('change a diameter of the stopper and save a revision', async () => {
    await page.getByRole('link', { name: 'Patterns' }).click();
    await page
      .locator('.shelf')
      .getByRole('link', { name: /Dovecote carafe stopper/ })
      .click();
    const crown = page.getByLabel('collar, crown diameter', { exact: true });
    await crown.fill('1 7/16"');
    await crown.press('Enter');
    await expect(page.getByRole('button', { name: /Save as revision 3/ })).toBeEnabled();
    await page.keyboard.press('Control+z');
    await expect(crown).toHaveValue('35');
    await page.keyboard.press('Control+Shift+z');
    await expect(crown).toHaveValue('1 7/16"');
    await page.getByRole('button', { name: /Save as revision 3/ }).click();
    await expect(page.getByLabel('Revisions').getByText('Revision 3')).toBeVisible();
    await expect(page.getByLabel('Revisions')).toContainText('thicker');
  });

  await test.step('nonsense stays in the field with a sentence', async () => {
    const crown = page.getByLabel('collar, crown diameter', { exact: true });
    await crown.fill('wide');
    await crown.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: '"wide" is not a length' })).toBeVisible();
    await crown.press('Escape');
  });

  await test.step('order a dozen and read every stage', async () => {
    await page.getByRole('button', { name: 'Order some' }).click();
    await page.getByLabel('How many').fill('12');
    await page.getByLabel('How many').press('Tab');
    await page.getByLabel('For whom').fill('Sedgewater Inn');
    await page.getByLabel('For whom').press('Tab');
    await expect(page.getByRole('heading', { name: /Saw 12 blanks/ })).toBeVisible();
    const stages = page.getByRole('navigation', { name: 'Stages' });
    for (const [stage, sign] of [
      ['Drill', 'insert hole'],
      ['Mount', 'On the M8 mandrel'],
      ['Mark', 'flush with the base'],
      ['Turn', 'Speeds'],
      ['Surface', 'Friction polish'],
      ['Assemble', 'Screw the base on'],
      ['Time', 'Piece by piece'],
    ] as const) {
      await stages.getByRole('link', { name: new RegExp(`^\\W*${stage}`) }).click();
      await expect(page.locator('.work-middle')).toContainText(sign);
    }
    await page.getByRole('button', { name: /Hands on, whole batch/ }).click();
    await expect(page.locator('.working')).toContainText('steps of one piece');
    await page.getByRole('button', { name: 'Keep the plan' }).click();
    await expect(page.getByRole('link', { name: 'Batch sheet' })).toBeVisible();
    await expect(page).toHaveURL(/\/batches\/[0-9a-f-]{36}\/time/);
  });

  await test.step('print the batch sheet and the story stick', async () => {
    await page.getByText('Letter', { exact: true }).click();
    for (const name of ['Batch sheet', 'Story stick 1:1']) {
      const link = page.getByRole('link', { name });
      await expect(link).toHaveAttribute('href', /paper=Letter/);
      const address = await link.getAttribute('href');
      const pdf = await page.request.get(address ?? '', AGAIN_IF_CLOSED);
      expect(pdf.headers()['content-type']).toBe('application/pdf');
    }
  });

  const steps: string[] = [];
  await test.step('run the first piece, piece by piece', async () => {
    await page.getByRole('link', { name: 'To the lathe' }).click();
    await page.getByText('Set up', { exact: true }).click();
    await page.getByText('piece by piece', { exact: true }).click();
    await page.getByText('Set up', { exact: true }).click();
    await page.getByRole('button', { name: /^Piece 1,/ }).click();
    const done = page.getByRole('button', { name: 'Piece 1, done' });
    while (!(await done.isVisible())) {
      steps.push(await doStep(page, 1, (_, mm) => mm.toFixed(2)));
      await page.getByRole('button', { name: /^Piece 1,/ }).click();
    }
    expect(steps).toEqual(
      expect.arrayContaining([
        'Glue the insert in',
        'Screw it on the mandrel',
        'Trial fit',
        'Sand P150',
        'Tailstock away',
        'Measure',
        'Screw the base on',
      ]),
    );
    await expect(page.getByRole('status').filter({ hasText: 'all saved' })).toBeVisible();
  });

  await test.step('run the second without network; nothing is lost in a reload of the network', async () => {
    await context.setOffline(true);
    await page.getByRole('button', { name: /^Piece 2,/ }).click();
    const done = page.getByRole('button', { name: 'Piece 2, done' });
    while (!(await done.isVisible())) {
      await doStep(page, 2, (station, mm) => (station === 'collar' ? (mm + 0.8).toFixed(2) : mm.toFixed(2)));
      await page.getByRole('button', { name: /^Piece 2,/ }).click();
    }
    await expect(page.locator('.run-connection')).toContainText('kept here');
    await context.setOffline(false);
    await expect(page.locator('.run-connection')).toContainText('all saved');
  });

  await test.step('see whether they are twins', async () => {
    await page.goto(page.url().replace('/run', '/twins'));
    await expect(page.locator('.twins-verdict')).toContainText('Not twins yet: 1 of 12 are good.');
    await expect(page.locator('.twins-words')).toContainText('Piece 2: fat, can be cut again.');
    // five diameters, and in three places along it
    await expect(page.locator('.twins-chart')).toHaveCount(8);
  });
});
