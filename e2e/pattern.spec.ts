import { readFile } from 'node:fs/promises';
import { expect, type Locator, type Page } from '@playwright/test';
import { choose, enterDemo, test } from './door.js';

/** Types a length into a field and leaves it. */
async function give(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
}

/** What can be done with an element stands in its row once it is chosen. */
const chooseRow = (page: Page, name: string) => page.getByLabel(`Name of ${name}`, { exact: true }).focus();

async function addAfter(page: Page, after: string | null, kind: string): Promise<void> {
  if (after !== null) await chooseRow(page, after);
  const name = after === null ? 'Add an element at the reference end' : `Add an element after ${after}`;
  await page.getByRole('button', { name, exact: true }).click();
  await page.locator('.ant-dropdown:visible').getByText(kind, { exact: true }).click();
}

async function callIt(page: Page, kind: string, name: string): Promise<void> {
  const field = page.getByLabel(`Name of ${kind}`, { exact: true });
  await field.fill(name);
  await expect(page.getByLabel(`Name of ${name}`, { exact: true })).toBeVisible();
}

async function save(page: Page, revision: number): Promise<void> {
  await page.getByRole('button', { name: `Save as revision ${revision}` }).click();
  await expect(page.getByRole('button', { name: `Revision ${revision}`, exact: true })).toBeVisible();
}

async function newFrom(page: Page, form: RegExp, name: string): Promise<void> {
  await page.goto('/patterns/new');
  await page.getByRole('radio', { name: form }).click();
  await page.getByPlaceholder(/./).first().fill(name);
  await page.getByRole('button', { name: 'Make the pattern' }).click();
  await expect(page.getByLabel('Name of the pattern')).toHaveValue(name);
}

test('a handle with a ferrule and a stepped hole is designed from nothing, given out, read in, compared', async ({
  page,
}) => {
  await enterDemo(page);
  await newFrom(page, /^Silhouette of Ball/, 'Marking knife handle');

  await test.step('elements one after another, a ferrule, a fixed total', async () => {
    await addAfter(page, null, 'cylinder');
    await chooseRow(page, 'ball');
    await page.getByRole('button', { name: 'Take ball out' }).click();
    await give(page, 'Start diameter', '20');
    await callIt(page, 'cylinder', 'tenon end');
    await give(page, 'tenon end, length', '18');
    await addAfter(page, 'tenon end', 'shoulder');
    await give(page, 'shoulder, end diameter', '24');
    await addAfter(page, 'shoulder', 'fair curve');
    await callIt(page, 'fair', 'grip');
    await give(page, 'grip, length', '80');
    await give(page, 'grip, end diameter', '26');
    await give(page, 'grip, point 1, at', '34');
    await give(page, 'grip, point 1, diameter', '32');
    await addAfter(page, 'grip', 'curve by radius');
    await callIt(page, 'arc', 'butt');
    await give(page, 'butt, length', '12');
    await give(page, 'butt, end diameter', '12');
    await give(page, 'butt, radius', '14');
    await chooseRow(page, 'grip');
    await page.getByRole('button', { name: 'More for grip' }).click();
    await page.locator('.ant-dropdown:visible').getByText('Let it take up what is left').click();
    await page.getByRole('button', { name: /no hardware, used by .*change$/ }).click();
    await give(page, 'Fixed total', '115');
    await expect(page.locator('tr', { hasText: 'takes up' })).toContainText('85.0');
    await page.getByRole('combobox', { name: 'Hardware at the reference end' }).click();
    await page
      .locator('.ant-select-dropdown:visible')
      .getByText(/ferrule/i)
      .first()
      .click();
    await expect(page.locator('.work-aside')).not.toContainText('stop');
  });

  await test.step('a stepped hole in the far end', async () => {
    await page.getByRole('tab', { name: 'Holes' }).click();
    await page.getByRole('button', { name: '+ add a hole' }).click();
    await choose(page, 'hole, from', 'from the far end');
    await give(page, 'hole, diameter 1', '8');
    await give(page, 'hole, depth 1', '12');
    await page.getByRole('button', { name: '+ step' }).click();
    await give(page, 'hole, diameter 2', '5');
    await give(page, 'hole, depth 2', '25');
    await expect(page.locator('.strip-hole')).toHaveCount(2);
    await save(page, 2);
  });

  await test.step('an edge is dragged on the strip, undone, done again and kept', async () => {
    await page.getByRole('tab', { name: 'Profile' }).click();
    const end = page.getByLabel('butt, end diameter', { exact: true });
    await page.locator('[data-handle$=".end"]').last().scrollIntoViewIfNeeded();
    await drag(page, page.getByRole('slider', { name: 'End of butt' }), 0, -10);
    const dragged = parseFloat(await end.inputValue());
    expect(dragged).toBeGreaterThan(12.5);
    expect(Math.abs(dragged * 10 - Math.round(dragged * 10))).toBeLessThan(1e-6);
    await page.keyboard.press('Control+z');
    await expect(end).toHaveValue('12');
    await page.keyboard.press('Control+Shift+z');
    await expect(end).not.toHaveValue('12');
    await give(page, 'butt, end diameter', '13');
    await save(page, 3);
  });

  const files = await test.step('given out as a pattern file and as DXF', async () => ({
    json: await giveOut(page, 'The whole pattern, to take it elsewhere'),
    dxf: await giveOut(page, 'Profile, DXF'),
    stl: await giveOut(page, 'Surface, STL, within 0.1 mm'),
  }));
  expect(files.stl.length).toBeGreaterThan(10_000);

  await test.step('two revisions laid over each other: the largest difference is named', async () => {
    await page.getByRole('link', { name: 'Compare' }).click();
    await choose(page, 'This', 'Revision 2');
    await choose(page, 'With that', 'Revision 3');
    await expect(page.locator('main')).toContainText(/largest difference on the diameter 1\.00\s*mm thicker/);
    await expect(page.locator('main')).toContainText('butt end diameter');
  });

  await test.step('read in again: the same sizes, hardware left aside', async () => {
    await page.goto('/patterns/new');
    await choosing(page, 'From a file', 'Marking knife handle.compas.json', files.json);
    await expect(page.getByText(/Read as a whole pattern.*Left aside: the hardware/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the pattern' }).click();
    await expect(page.getByLabel('butt, end diameter', { exact: true })).toHaveValue('13');
    await page.goto('/patterns/new');
    await choosing(page, 'From a file', 'handle from a friend.dxf', files.dxf);
    await expect(page.getByText(/Read as a half profile over the axis/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the pattern' }).click();
    await expect(page.locator('.strip-ruler')).toContainText('110');
    await page.goto('/patterns/new');
    await choosing(page, 'From a file', 'broken.svg', Buffer.from('<svg><path d="M0 0 L 5 x"/></svg>'));
    await expect(page.getByRole('alert')).toContainText('Element path');
  });
});

test('a sample is copied from a photo: two marks, the silhouette, its elements', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/patterns/new');
  await page.getByRole('link', { name: 'Copy a sample' }).click();
  const photo = await readFile(new URL('../web/public/samples/old-finial.jpg', import.meta.url));
  await choosing(page, 'Open a photo', 'finial.jpg', photo);
  const picture = page.locator('.photo');
  const box = (await picture.boundingBox()) ?? { width: 0, height: 0 };
  // the two crosses of the photo, 100 mm apart
  for (const x of [300, 1700])
    await picture.click({ position: { x: (x / 2000) * box.width, y: (1023 / 1100) * box.height } });
  await page.getByRole('button', { name: 'Find the silhouette' }).click();
  await expect(page.locator('main')).toContainText('typical error of the radius');
  await page.getByLabel('Name of the copy').fill('Stair finial again');
  await page.getByRole('button', { name: 'Make the pattern' }).click();
  await expect(page.getByLabel('Name of the pattern')).toHaveValue('Stair finial again');

  // held against the true sizes that the photo was painted from; a click is right to about a pixel on screen
  const truth = JSON.parse(
    await readFile(new URL('../core/src/files/fixtures/old-finial.json', import.meta.url), 'utf8'),
  ) as { turning: { elements: { kind: string; crown?: { mm: number } }[] } };
  const crowns = truth.turning.elements.flatMap((e) => (e.crown ? [e.crown.mm] : []));
  const fields = page.getByRole('textbox', { name: /, crown diameter$/ });
  await expect(fields.first()).toBeVisible();
  const copied = await fields.evaluateAll((all) => all.map((f) => parseFloat((f as HTMLInputElement).value)));
  for (const crown of copied) expect(Math.min(...crowns.map((c) => Math.abs(c - crown)))).toBeLessThan(0.5);

  await test.step('the sample is kept, and can be laid over what was made of it', async () => {
    await page.getByRole('link', { name: 'Compare' }).click();
    // what stands there first is another sample, as near as that was measured
    await choose(page, 'This', 'Revision 1');
    await choose(page, 'With that', 'Sample: Stair finial again');
    await expect(page.locator('main')).toContainText(/typical 0\.0\d\s*mm/);
  });
});

test('a sample is copied by a calliper that types: the next row stands ready', async ({ page }) => {
  await enterDemo(page);
  await page.goto('/patterns/copy');
  await page.getByRole('tab', { name: 'By calliper' }).click();
  await page.getByLabel('Diameter 1', { exact: true }).focus();
  for (const [i, diameter] of ['20', '21', '22', '23', '24'].entries()) {
    await expect(page.getByLabel(`Diameter ${i + 1}`, { exact: true })).toBeFocused();
    await page.keyboard.type(diameter);
    await page.keyboard.press('Enter');
  }
  await expect(page.locator('main')).toContainText('elements 1');
  await page.getByRole('button', { name: 'Make the pattern' }).click();
  await expect(page.getByRole('textbox', { name: 'taper, end diameter' })).toHaveValue('24');

  await test.step('what is changed is planned before it is saved, and saved before it is kept', async () => {
    const stock = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Stock' });
    await give(page, 'taper, end diameter', '44');
    await stock.click();
    await expect(page.getByRole('heading', { name: /blanks, (4[5-9]|5\d)\.\d\smm square/ })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Keep the plan' })).toHaveCount(0);
    await page.getByRole('link', { name: /save the pattern, then keep the plan/ }).click();
    await page.getByRole('button', { name: 'Save as revision 2' }).click();
    await expect(page.getByRole('button', { name: 'Revision 2' })).toBeVisible();
    await stock.click();
    await expect(page.getByRole('button', { name: 'Keep the plan' })).toBeVisible();
  });
});

test('parts that join keep in step, and an item of two parts is ordered whole, or one part of it', async ({
  page,
}) => {
  await enterDemo(page);
  await newFrom(page, /launched by a cord/, 'Harbour top');
  await page.getByRole('tab', { name: /Parts and joins \(2\)/ }).click();
  await page.getByText('Body', { exact: true }).click();
  await page.getByRole('tab', { name: 'Holes' }).click();
  await give(page, 'stem bore, diameter 1', '16');
  await expect(page.locator('.work-aside')).toContainText('where it enters');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.work-aside')).not.toContainText('where it enters');
  await page.getByRole('button', { name: 'See it in the round' }).click();
  await expect(page.locator('.round-view canvas')).toBeVisible();
  await page.getByRole('link', { name: 'Order some' }).click();
  await expect(page.getByRole('radiogroup', { name: 'Part shown' })).toContainText('Body × 12');
  await choose(page, 'What is made', 'only Stem');
  await expect(page).toHaveURL(/part=part1/);
  await expect(page.getByRole('radiogroup', { name: 'Part shown' })).toHaveCount(0);
});

/** Takes hold of a thing and moves it by pixels. */
async function drag(page: Page, thing: Locator, dx: number, dy: number): Promise<void> {
  const box = await thing.boundingBox();
  if (!box) throw new Error('There is nothing to take hold of.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2);
  await page.mouse.move(x + dx, y + dy);
  await page.mouse.up();
}

async function giveOut(page: Page, what: string): Promise<Buffer> {
  await page.getByRole('button', { name: 'Give out' }).click();
  const waiting = page.waitForEvent('download');
  await page.locator('.ant-dropdown:visible').getByText(what).click();
  return readFile(await (await waiting).path());
}

async function choosing(page: Page, button: string, name: string, buffer: Buffer): Promise<void> {
  const waiting = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button }).click();
  await (await waiting).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}
