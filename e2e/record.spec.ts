import { expect, type Page } from '@playwright/test';
import { AGAIN_IF_CLOSED, endStep, enterDemo, OUTSIDE, signIn, test } from './door.js';

const HOUR = 3_600_000;
const BATCH = '4 × Footstool leg';

/** To the lathe with a batch that no other test turns. */
async function toTheLathe(page: Page, name = BATCH): Promise<string> {
  await page
    .locator('.bench-row', { hasText: name })
    .getByRole('button', { name: /To the lathe|Go on/ })
    .click();
  await expect(done(page)).toBeVisible();
  return /batches\/([^/]+)/.exec(page.url())?.[1] ?? '';
}
const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true });
const status = (page: Page) => page.locator('.run-connection');
/** Pieces whose first step is still to be done. */
const untouched = (page: Page) =>
  page.getByRole('navigation', { name: 'Pieces' }).getByRole('button', { name: /Saw the blank/ });

/** What the server has of a batch: kinds, pieces and instants. */
async function recordOf(
  page: Page,
  batch: string,
): Promise<{ kind: string; piece: number; at: string; stepId: string }[]> {
  const answer = await page.request.get(`/api/batches/${batch}/events?after=0`, AGAIN_IF_CLOSED);
  const { events } = (await answer.json()) as {
    events: { piece: number; at: string; body: { kind: string; stepId: string } }[];
  };
  return events.map(({ piece, at, body }) => ({ piece, at, kind: body.kind, stepId: body.stepId }));
}
const donesOf = async (page: Page, batch: string) =>
  (await recordOf(page, batch)).filter((e) => e.kind === 'done');

test('a double tap ends one step of one piece; two tablets follow each other; the last tap is taken back', async ({
  page,
  browser,
}) => {
  await enterDemo(page);
  const batch = await toTheLathe(page);
  const before = await untouched(page).count();
  // the figure stands there and was seen
  await expect.poll(async () => (await recordOf(page, batch)).some((e) => e.kind === 'started')).toBe(true);
  await page.waitForTimeout(500);
  await done(page).dblclick({ delay: 20 });
  await expect.poll(async () => (await donesOf(page, batch)).length).toBeGreaterThan(0);
  // a second one would be on its way by now
  await expect(status(page)).toHaveText(/all saved/);
  await page.waitForTimeout(500);
  expect(await donesOf(page, batch)).toHaveLength(1);

  const other = await (await browser.newContext({ storageState: OUTSIDE })).newPage();
  await signIn(other, 'tobi@quillhaven.example');
  await other.goto(`/batches/${batch}/run`);
  await expect(untouched(other)).toHaveCount(before - 1);
  // what the first has in hand, the second passes over
  const pieceAt = (at: Page) => at.locator('.run-piece').textContent();
  await expect.poll(async () => (await pieceAt(other)) === (await pieceAt(page))).toBe(false);
  await endStep(page, done(page));
  await expect
    .poll(
      async () =>
        (await other.locator('.run-what h1').textContent()) ===
        (await page.locator('.run-what h1').textContent()),
      { intervals: [100] },
    )
    .toBe(true);

  await page.getByRole('button', { name: /^Take back: / }).click();
  await expect
    .poll(async () => (await recordOf(page, batch)).slice(-2).map((e) => e.kind))
    .toEqual(['reopened', 'started']);
  // and it is in hand here: the other one leaves it alone
  await expect(other.locator('.run-connection')).toHaveText(/all saved/);
  await expect.poll(async () => (await pieceAt(other)) === (await pieceAt(page))).toBe(false);
  await other.context().close();
});

test('a network that swallows: the lathe opens from what is kept within seconds, keeps what is recorded, and sends it later', async ({
  page,
}) => {
  await enterDemo(page);
  const batch = await toTheLathe(page, '4 × Garden dibber');
  await expect(status(page)).toHaveText(/all saved/);
  // nothing is answered and nothing fails
  let swallows = true;
  await page.route('**/api/**', async (route) => {
    if (swallows) return;
    await route.fallback();
  });
  await page.reload();
  // a swallowed request ends after a minute by itself: what stands here before that is what was kept
  await expect(done(page)).toBeVisible();
  await endStep(page, done(page));
  await expect(status(page)).toHaveText(/kept here|saving/);
  swallows = false;
  await page.reload();
  await expect(status(page)).toHaveText(/all saved/);
  await expect.poll(async () => (await donesOf(page, batch)).length).toBe(1);
});

test('a clock three hours fast is said, and what is recorded by it counts by the clock of the server', async ({
  page,
}) => {
  await page.clock.install({ time: Date.now() + 3 * HOUR });
  await page.clock.resume();
  await enterDemo(page);
  const batch = await toTheLathe(page, '3 × Tea caddy spoon');
  await expect(status(page)).toContainText('clock here 3 h fast');
  await endStep(page, done(page));
  await expect.poll(async () => (await donesOf(page, batch)).length).toBe(1);
  const [first] = await donesOf(page, batch);
  expect(Math.abs(Date.parse(first?.at ?? '') - Date.now())).toBeLessThan(30_000);
});
