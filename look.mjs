import { chromium } from 'playwright-core';
const [batch, ...wanted] = process.argv.slice(2);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] });
const c = await b.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const t = await c.newPage();
await t.goto('http://127.0.0.1:4600/');
await t.getByRole('button', { name: /demo|look around|Maren/i }).first().click();
await t.waitForTimeout(1500);
const list = await t.evaluate(async () => (await (await fetch('/api/batches')).json()).batches);
const own = list.find((x) => x.name.includes(batch));
await t.goto(`http://127.0.0.1:4600/batches/${own.id}/run`);
await t.waitForTimeout(2500);
await t.screenshot({ path: '/tmp/l0.png' });
console.log((await t.getByRole('list', { name: 'Steps of this piece' }).innerText().catch(() => 'none')).replaceAll('\n', ' | '));
let i = 1;
for (const w of wanted) {
  const [run, step] = w.split('>');
  await t.getByRole('list', { name: 'Steps of this piece' }).getByText(run, { exact: false }).first().click();
  await t.waitForTimeout(600);
  if (step === '?') { console.log(await t.getByRole('list', { name: 'Steps of this piece' }).innerText()); continue; }
  if (step) { await t.getByRole('list', { name: 'Steps of this piece' }).getByRole('button', { name: step }).last().click(); await t.waitForTimeout(800); }
  console.log((await t.locator('.run-hung').innerText().catch(() => '-')).replaceAll('\n', ' / '));
  await t.screenshot({ path: `/tmp/l${i++}.png` });
}
await b.close();
