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

/** One picture of each main view: where it is, and what is on it when it is ready. */
function views({ batch, pattern }) {
  const finished = batch('12 × Dovecote');
  const handles = batch('8 × Bench chisel');
  return [
    { name: 'sign-in', path: '/sign-in', ready: 'Enter the demo workshop', signedOut: true },
    { name: 'bench', path: '/', ready: 'On the bench' },
    { name: 'patterns', path: '/patterns', ready: 'All at the same scale' },
    { name: 'new-pattern', path: '/patterns/new', ready: 'Make the pattern' },
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
    { name: 'drill', path: `/batches/${handles}/drill`, ready: 'Depth to the shoulder' },
    { name: 'mount', path: `/batches/${handles}/mount`, ready: 'Held between' },
    { name: 'mark', path: `/batches/${finished}/mark`, ready: 'Story stick' },
    { name: 'turn', path: `/batches/${finished}/turn`, ready: 'Speeds' },
    { name: 'surface', path: `/batches/${handles}/surface`, ready: 'Sand with' },
    { name: 'time', path: `/batches/${handles}/time`, ready: 'Piece by piece' },
    { name: 'run', path: `/batches/${handles}/run`, ready: 'Trial fit' },
    {
      name: 'run-tablet',
      path: `/batches/${batch('20 × Acorn')}/run`,
      ready: 'Saw the blank',
      size: { width: 768, height: 1024 },
    },
    { name: 'twins', path: `/batches/${finished}/twins`, ready: 'Not twins yet' },
    { name: 'workshop', path: '/workshop/holding', ready: 'Open plans' },
    { name: 'kits', path: '/workshop/kits', ready: 'On the shelf' },
  ];
}

async function take(browser) {
  const context = await browser.newContext({ viewport: DESK, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.request.post(`${BASE}/api/session/demo`, { headers: { 'x-compas': '1' } });
  const find = async (path) => {
    const list = await (await page.request.get(BASE + path)).json();
    return (name) => list.find((item) => item.name.startsWith(name)).id;
  };
  const found = { batch: await find('/api/batches'), pattern: await find('/api/patterns') };
  const stranger = await (await browser.newContext({ viewport: DESK, serviceWorkers: 'block' })).newPage();
  for (const view of views(found)) {
    const tab = view.signedOut ? stranger : page;
    await tab.setViewportSize(view.size ?? DESK);
    await tab.goto(BASE + view.path);
    await tab.getByText(view.ready).first().waitFor();
    await tab.waitForLoadState('networkidle');
    await view.then?.(tab);
    await tab.waitForTimeout(300);
    await tab.screenshot({ path: join(FOLDER, `${view.name}.png`) });
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
