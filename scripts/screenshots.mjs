import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser } from './browser.mjs';
import { build } from './build.mjs';
import { freshDatabase, loadDemo, migrate } from './database.mjs';
import { ensureDependencies, ensurePostgres } from './packages.mjs';
import { DATA, main, ROOT, say } from './project.mjs';
import { serve } from './serve.mjs';

const PORT = '4692';
const BASE = `http://127.0.0.1:${PORT}`;
const FOLDER = join(ROOT, 'docs/screenshots');
const DESK = { width: 1280, height: 800 };

/** An order of cuts that somebody wants, and that the plan warns of. */
const STEM_FIRST = {
  id: 'stem-first',
  decides: { kind: 'before', first: ['e1'], then: ['e6', 'e5', 'e4', 'e3', 'e2'] },
  why: 'the stem is turned to the gauge while the blank is stiff',
  by: 'Maren Oswick',
  at: '2026-03-02T08:00:00.000Z',
};

/** One picture of each main view: where it is, and what is on it when it is ready. */
function views({ batch, pattern }) {
  const finished = batch('12 × Dovecote');
  const handles = batch('8 × Bench chisel');
  return [
    { name: 'bench', path: '/', ready: 'On the bench' },
    { name: 'orders', path: '/orders', ready: 'Marrowfield Guesthouse' },
    { name: 'patterns', path: '/patterns', ready: 'All at the same scale' },
    {
      name: 'pattern',
      path: `/patterns/${pattern('Footstool')}`,
      ready: 'History',
      then: async (tab) => {
        await tab.getByRole('button', { name: 'See it in the round' }).click();
        await tab.locator('.round-view canvas').waitFor();
        await tab.waitForTimeout(1500);
        await tab.evaluate(() => window.scrollTo(0, 0));
      },
    },
    {
      name: 'copy',
      path: '/patterns/copy',
      ready: 'Try it with',
      then: async (tab) => {
        await tab.getByRole('button', { name: 'Try it with our made-up photo' }).click();
        await tab.getByRole('button', { name: 'Find the silhouette' }).click();
        await tab.getByText('typical error').waitFor();
      },
    },
    {
      name: 'compare',
      path: `/patterns/${pattern('Old stair')}/compare?b=pattern%20${pattern('Gallery')}`,
      ready: 'Difference of the diameter',
    },
    {
      name: 'order',
      path: `/patterns/${pattern('Lantern')}/plan/stock?pieces=6&for=Sedgewater%20Inn`,
      ready: 'Keep the plan',
    },
    { name: 'drill', path: `/batches/${handles}/drill`, ready: 'tape, from the point' },
    { name: 'mount', path: `/batches/${handles}/mount`, ready: 'Held between' },
    { name: 'mark', path: `/batches/${finished}/mark`, ready: 'Story stick' },
    {
      name: 'turn',
      path: `/patterns/${pattern('Skylark')}/plan/turn?ways=${encodeURIComponent(JSON.stringify([STEM_FIRST]))}`,
      ready: 'Step by step',
    },
    { name: 'time', path: `/batches/${handles}/time`, ready: 'Piece by piece' },
    { name: 'run', path: `/batches/${handles}/run`, ready: 'Trial fit' },
    { name: 'twins', path: `/batches/${finished}/twins`, ready: 'Not twins yet' },
    {
      name: 'workshop',
      path: '/workshop/kits',
      ready: 'Awl blade, square taper',
      then: async (tab) => {
        await tab.getByRole('button', { name: /Awl blade/ }).click();
        await tab.getByText('It asks of').waitFor();
      },
    },
    { name: 'shelf', path: '/stock', ready: 'On the shelf, worth' },
    {
      name: 'cutting',
      path: '/stock/cutting',
      ready: 'Cut blanks for',
      then: async (tab) => {
        await tab.getByRole('button', { name: 'Plan the cutting' }).click();
        await tab.getByText('Saw list').waitFor();
        await tab.getByRole('region', { name: 'Cutting plan' }).evaluate((plan) => plan.scrollIntoView());
      },
    },
    { name: 'log', path: '/stock/logs', ready: 'billets, split into' },
    { name: 'drying', path: '/stock/drying', ready: 'nineteen times in twenty' },
  ];
}

async function take(browser) {
  const context = await browser.newContext({ viewport: DESK, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.request.post(`${BASE}/api/session/demo`, { headers: { 'x-compas': '1' } });
  const find = async (path, of) => {
    const list = (await (await page.request.get(BASE + path)).json())[of];
    return (name) => list.find((item) => item.name.startsWith(name)).id;
  };
  const found = {
    batch: await find('/api/batches', 'batches'),
    pattern: await find('/api/patterns', 'patterns'),
  };
  for (const view of views(found)) {
    await page.goto(BASE + view.path);
    await page.getByText(view.ready).first().waitFor();
    await page.waitForLoadState('networkidle');
    await view.then?.(page);
    await page.waitForTimeout(300);
    await page.screenshot({ path: join(FOLDER, `${view.name}.png`) });
    say(`took ${view.name}`);
  }
}

await main(async () => {
  await ensureDependencies();
  await ensurePostgres();
  await build();
  mkdirSync(FOLDER, { recursive: true });
  const { env, stop } = await freshDatabase({ data: join(DATA, 'test'), name: 'compas_screenshots' });
  await migrate(env);
  await loadDemo(env);
  const server = serve({ ...env, PORT }, { quiet: true });
  const browser = await openBrowser();
  try {
    await server.listening;
    await take(browser);
  } finally {
    await browser.close();
    server.stop();
    await server.ended;
    stop();
  }
});
