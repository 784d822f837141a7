import { expect, test as base, type Locator, type Page } from '@playwright/test';

/** Nobody is signed in: for tests that come in by a door themselves. */
export const OUTSIDE = { cookies: [], origins: [] };

/** Each worker has a server of its own, and comes in once for all its tests. */
export const test = base.extend<
  object,
  { signedIn: Awaited<ReturnType<ReturnType<Page['context']>['storageState']>> }
>({
  baseURL: async ({}, use, { parallelIndex }) => {
    await use((process.env['COMPAS_URLS'] ?? '').split(' ')[parallelIndex]);
  },
  signedIn: [
    async ({ playwright }, use, { parallelIndex }) => {
      const door = await playwright.request.newContext({
        baseURL: (process.env['COMPAS_URLS'] ?? '').split(' ')[parallelIndex],
        extraHTTPHeaders: { 'x-compas': '1' },
      });
      await door.post('/api/session/demo');
      await use(await door.storageState());
      await door.dispose();
    },
    { scope: 'worker' },
  ],
  storageState: async ({ signedIn }, use) => use(signedIn),
});

/** A connection that was idle may be closed just as it is used again: a browser asks once more by itself then. */
export const AGAIN_IF_CLOSED = { maxRetries: 3 };

const onTheBench = (page: Page) => expect(page.getByRole('heading', { name: /On the bench/ })).toBeVisible();

/** Comes in by the button on the first screen, as anybody would who tries Compas. */
export async function enterByTheDoor(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Enter the demo workshop' }).click();
  await onTheBench(page);
}

/**
 * Opens the Bench of the demo workshop. What another test had begun to plan is put away first: all of a worker share one
 * workshop, and whether they had left it long enough to be kept is a matter of pace.
 */
export async function enterDemo(page: Page): Promise<void> {
  const begun = (await (await page.request.get('/api/drafts', AGAIN_IF_CLOSED)).json()) as {
    patternId: string;
  }[];
  for (const { patternId } of begun)
    await page.request.delete(`/api/drafts/${patternId}`, {
      ...AGAIN_IF_CLOSED,
      headers: { 'x-compas': '1' },
    });
  await page.goto('/');
  await onTheBench(page);
}

/** Chooses in one of the drop-down lists. */
export async function choose(page: Page, label: string, option: string | RegExp): Promise<void> {
  const box = page.getByRole('combobox', { name: label, exact: true });
  await box.click();
  // long lists are searched
  if (typeof option === 'string' && (await box.isEditable())) await box.fill(option);
  await page.locator('.ant-select-dropdown:visible').getByText(option, { exact: true }).click();
}

/** Signs in to the demo workshop as one of its two members. */
export async function signIn(page: Page, email: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill('shavings-everywhere');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await onTheBench(page);
}

/** Keeps a plan; where something of it stops, it says why it may go on. */
export async function keepPlan(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  const why = page.getByLabel('Why keep it all the same');
  const kept = page.getByRole('link', { name: 'To the lathe' });
  await expect(why.or(kept)).toBeVisible();
  if (await kept.isVisible()) return;
  await why.fill('tried so before');
  await page.getByRole('button', { name: 'Go past and keep it' }).click();
}

/** Goes past what is locked or waits, with a reason; does nothing where nothing holds it. */
export async function goPast(page: Page): Promise<void> {
  const anyhow = page.getByRole('button', { name: 'Look at that step' });
  const unlock = page.getByRole('button', { name: 'Do it all the same' });
  if (await anyhow.isVisible()) await anyhow.click();
  if (!(await unlock.isVisible())) return;
  await unlock.click();
  await page.getByLabel('Why is it right this time?').fill('quick glue');
  await page.getByRole('button', { name: 'Unlock' }).click();
}

/** What stands on the screen at the lathe. */
const figureOf = (page: Page): Promise<string> =>
  page.evaluate(() =>
    ['.run-piece', '.run-what', '.run-note']
      .map((part) => document.querySelector(part)?.textContent ?? '')
      .join(' / '),
  );

/** After so long a press that did nothing is made again, ms. */
const AGAIN = 140;

/**
 * Ends what is at hand at the lathe as somebody does who is quick: a press that comes before the figure was seen does
 * nothing, so it is made again until another figure stands there.
 */
export async function endStep(page: Page, button: Locator): Promise<void> {
  const before = await figureOf(page);
  const from = Date.now();
  let pressed = 0;
  while ((await figureOf(page)) === before && Date.now() - from < 60_000) {
    if (Date.now() - pressed > AGAIN) {
      // on a slow machine the step may end between the look and the press: then there is no button any more
      await button.click({ timeout: 1_000 }).catch(() => undefined);
      pressed = Date.now();
    }
    await page.waitForTimeout(30);
  }
}
