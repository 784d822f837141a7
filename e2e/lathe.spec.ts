import { expect, type Page } from '@playwright/test';
import { endStep, enterDemo, goPast, test } from './door.js';

test.beforeEach(({ page }) => enterDemo(page));

test('the lathe screen locks, doubts broken numbers, corrects, times through a reload and rejects', async ({
  page,
}) => {
  await page
    .locator('.bench-row', { hasText: '20 × Acorn light pull' })
    .getByRole('button', { name: 'To the lathe' })
    .click();

  /** More than a row of pieces is a tally, opened by a touch. */
  const openTally = () => page.locator('.run-tally summary').click();
  await test.step('a step that comes later is locked, with the reason', async () => {
    await openTally();
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
    await openTally();
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

test.describe('without network', () => {
  test.use({ serviceWorkers: 'allow' });

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
    await endStep(page, page.getByRole('button', { name: 'Done', exact: true }));
    await expect(page.locator('.run-piece')).toHaveText('piece 7 of 8');
    await page.reload();
    await expect(page.locator('.run-piece')).toHaveText('piece 7 of 8');
    await context.setOffline(false);
    await expect(page.locator('.run-connection')).toContainText('all saved');
  });
});

/** Height of the digits themselves, and whether what must be read keeps its contrast under a film of dust. */
const readFromAfar = (page: Page) =>
  page.evaluate(() => {
    const box = (selector: string) => document.querySelector(selector)?.getBoundingClientRect();
    const digits = document.querySelector('.run-figure .figures') ?? document.querySelector('.run-figure')!;
    const pen = document.createElement('canvas').getContext('2d')!;
    const { fontWeight, fontSize, fontFamily } = getComputedStyle(digits);
    pen.font = `${fontWeight} ${fontSize} ${fontFamily}`;
    const rgb = (text: string) => (text.match(/[\d.]+/g) ?? []).slice(0, 3).map(Number);
    const veiled = (c: number[]) => c.map((v) => v * 0.92 + 255 * 0.08);
    const light = (c: number[]) => {
      const [r, g, b] = c.map((v) =>
        v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4,
      ) as [number, number, number];
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    /** the colour behind an element: of the nearest one with a colour of its own */
    const behind = (element: Element): string => {
      const own = getComputedStyle(element).backgroundColor;
      if (!/^rgba\(.*, 0\)$|transparent/.test(own)) return own;
      return element.parentElement ? behind(element.parentElement) : 'rgb(255, 255, 255)';
    };
    const contrast = (selector: string) => {
      const element = document.querySelector(selector);
      if (!element) return 99;
      const [a, b] = [getComputedStyle(element).color, behind(element)].map((c) => light(veiled(rgb(c)))) as [
        number,
        number,
      ];
      return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    };
    const size = (selector: string) => {
      const element = document.querySelector(selector);
      return element ? parseFloat(getComputedStyle(element).fontSize) : 99;
    };
    const targets = [...document.querySelectorAll('.run-bar button, .run-bar a')].map((b) =>
      b.getBoundingClientRect(),
    );
    const gaps = targets.flatMap((a, i) =>
      targets
        .slice(i + 1)
        .map((b) => Math.max(a.left - b.right, b.left - a.right, a.top - b.bottom, b.top - a.bottom)),
    );
    const go = box('.run-bar .run-go')!;
    return {
      digits: pen.measureText('0').actualBoundingBoxAscent,
      strip: box('.run-strip svg')!.height,
      sizes: ['.run-figure-label', '.run-datum', '.run-glance', '.run-next'].map(size),
      contrasts: [
        '.run-figure',
        '.run-figure-label',
        '.run-datum',
        '.run-glance',
        '.run-next b',
        '.run-what h1',
        '.run-bar .run-go',
        '.run-caution',
      ].map(contrast),
      go: { x: go.right, y: go.bottom, width: go.width, height: go.height },
      lowest: Math.min(...targets.map((t) => t.height)),
      nearest: Math.min(...gaps),
      inSight: go.bottom <= innerHeight && go.top >= 0,
    };
  });

for (const { width, height, strip } of [
  { width: 1280, height: 800, strip: 380 },
  { width: 768, height: 1024, strip: 320 },
])
  test(`at ${width} × ${height} the lathe screen is read from afar, and its next action stays where it is`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await page
      .locator('.bench-row', { hasText: '14 × Bench chisel handle' })
      .getByRole('button', { name: /To the lathe|Go on/ })
      .click();
    const places = new Set<string>();
    for (const light of ['Bright', 'Dark']) {
      // the first steps of a piece, held ones among them
      for (let i = 0; i < 4; i++) {
        await expect(page.locator('.run-bar .run-go')).toBeVisible();
        const seen = await readFromAfar(page);
        expect(seen.digits).toBeGreaterThanOrEqual(64);
        expect(seen.strip).toBeGreaterThanOrEqual(strip);
        expect(Math.min(...seen.sizes)).toBeGreaterThanOrEqual(36);
        expect(Math.min(...seen.contrasts)).toBeGreaterThanOrEqual(4.5);
        expect(seen.go.height).toBeGreaterThanOrEqual(96);
        expect(seen.go.width).toBeGreaterThanOrEqual(240);
        expect(seen.lowest).toBeGreaterThanOrEqual(64);
        expect(seen.nearest).toBeGreaterThanOrEqual(15.9);
        expect(seen.inSight).toBe(true);
        places.add(`${Math.round(seen.go.x)} ${Math.round(seen.go.y)}`);
        const title = await page.locator('.run-what h1').textContent();
        const piece = await page.locator('.run-piece').textContent();
        await endStep(page, page.locator('.run-bar .run-go'));
        await expect
          .poll(
            async () =>
              `${await page.locator('.run-what h1').textContent()} ${await page.locator('.run-piece').textContent()}`,
          )
          .not.toBe(`${title} ${piece}`);
      }
      await page.getByRole('button', { name: light }).click();
    }
    expect([...places]).toHaveLength(1);
    await page.getByText('Set up', { exact: true }).click();
    await page.getByText('left hand').click();
    expect((await readFromAfar(page)).go.x).toBeLessThan(width / 2);
    await page.reload();
    await expect(page.locator('.run-bar .run-go')).toBeVisible();
    expect((await readFromAfar(page)).go.x).toBeLessThan(width / 2);
  });

test('a neck that came out thin is mended: it stays so, with a step for this piece alone, and the twins say it', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Patterns' }).click();
  await page
    .locator('.shelf')
    .getByRole('link', { name: /Dovecote carafe stopper/ })
    .click();
  await page.getByRole('button', { name: 'Order some' }).click();
  await page.getByLabel('How many').fill('2');
  await page.getByLabel('How many').press('Tab');
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await page.getByRole('link', { name: 'To the lathe' }).click();
  await page.getByLabel('Steps of this piece').getByRole('button', { name: 'Measure' }).click();
  await goPast(page);

  // every place is on size but the neck
  const place = page.locator('.run-reading label');
  await expect(place).toBeVisible();
  for (let left = 12; left > 0 && (await place.isVisible()); left--) {
    const label = (await place.textContent()) ?? '';
    const wanted = parseFloat((await page.locator('.run-figure').textContent()) ?? '');
    await page.getByLabel(label).fill((label.includes('neck') ? wanted - 1.2 : wanted).toFixed(2));
    await page.keyboard.press('Enter');
    await expect(place.filter({ hasText: label })).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Mend this piece' }).click();
  const form = page.getByRole('form', { name: 'Mend this piece' });
  await form.getByRole('button', { name: /^It stays so: neck/ }).click();
  await form.getByLabel('What is done to it alone').fill('Burn a line round the neck');
  await form.getByRole('radio', { name: 'lathe' }).click();
  await form.getByRole('button', { name: 'Add this step' }).click();
  await page.getByRole('button', { name: /^Mend .* so$/ }).click();

  const steps = page.getByLabel('Steps of this piece');
  await expect(steps).toContainText('Burn a line round the neck');
  await page.getByRole('button', { name: /^Piece 2,/ }).click();
  await expect(page.locator('.run-piece')).toContainText('piece 2');
  await expect(steps).not.toContainText('Burn a line round the neck');

  await page.getByRole('link', { name: /^← / }).click();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Twins' }).click();
  await expect(page.locator('.twins-words')).toContainText('Piece 1: mended, and keeps a size of its own.');
});
