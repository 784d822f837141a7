/** How fast the lathe screen and the order of cuts answer, in the page itself. */

const median = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)];
const p95 = (times) => [...times].sort((a, b) => a - b)[Math.ceil(times.length * 0.95) - 1];

/** Events that lie on the tablet while nothing can be sent. */
const QUEUED = 600;
const TAPS = 60;

/** A tap on Done until the next figure stands, with a full queue and no network to send it. */
async function benchTap(page, base, batch) {
  await page.route('**/events', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.goto(`${base}/batches/${batch.id}/run`);
  await page.locator('.run-what h1').waitFor();
  await page.evaluate(
    ({ id, count }) =>
      new Promise((kept, failed) => {
        const open = indexedDB.open('keyval-store');
        open.onerror = failed;
        open.onsuccess = () => {
          const store = open.result.transaction('keyval', 'readwrite').objectStore('keyval');
          const events = Array.from({ length: count }, (_, i) => ({
            id: crypto.randomUUID(),
            piece: 1 + (i % 8),
            at: new Date().toISOString(),
            device: 'bench',
            sequence: i,
            planVersion: 1,
            body: { kind: 'timed', stepId: 'bench', timerId: `t${i}` },
          }));
          store.put(events, `queue/${id}`).onsuccess = kept;
        };
      }),
    { id: batch.id, count: QUEUED },
  );
  await page.reload();
  await page.locator('.run-what h1').waitFor();
  return page.evaluate(async (taps) => {
    const where = () =>
      ['.run-piece', '.run-what h1'].map((s) => document.querySelector(s)?.textContent ?? '').join('/');
    const found = [];
    for (let i = 0; i < taps; i++) {
      const go = document.querySelector('button.run-go');
      if (!go || !/Done|done/.test(go.textContent)) break;
      const stood = where();
      const begun = performance.now();
      go.click();
      await new Promise((shown) => {
        const look = () => (where() === stood ? requestAnimationFrame(look) : shown());
        requestAnimationFrame(look);
      });
      found.push(performance.now() - begun);
      // a press that comes before the figure was seen does nothing
      await new Promise((later) => setTimeout(later, 450));
    }
    return found;
  }, TAPS);
}

/** A cut moved by the keyboard until the route below it is another one. */
async function benchDrag(page, base, patternId) {
  await page.goto(`${base}/patterns/${patternId}/plan/turn`);
  await page.locator('.cut-order .grab').first().waitFor();
  const times = [];
  for (let i = 0; i < 20; i++) {
    const up = i % 2 === 1;
    await page
      .locator('.cut-order .grab')
      .nth(up ? 2 : 1)
      .focus();
    await page.keyboard.press('Space');
    await page.waitForTimeout(120);
    await page.keyboard.press(up ? 'ArrowUp' : 'ArrowDown');
    await page.waitForTimeout(300);
    times.push(
      await page.evaluate(
        () =>
          new Promise((done) => {
            const route = document.querySelector('.route');
            const observer = new MutationObserver(() => {
              observer.disconnect();
              done(performance.now() - begun);
            });
            observer.observe(route, { subtree: true, childList: true, characterData: true });
            const begun = performance.now();
            document.activeElement.dispatchEvent(
              new KeyboardEvent('keydown', { code: 'Space', key: ' ', bubbles: true, cancelable: true }),
            );
            setTimeout(() => done(Infinity), 3000);
          }),
      ),
    );
    await page.waitForTimeout(300);
  }
  return times;
}

/** Both, with the demo: a batch that is not begun, a pattern of six features and one of sixty. */
export async function benchLathe({ browser, base, ask, row, sixty }) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await page.request.post(`${base}/api/session/demo`, { headers: { 'x-compas': '1' } });
  const { batches } = await ask('/api/batches?away=no');
  const fresh = batches.find((b) => b.stepsDone === 0 && b.pieces > 10);
  const taps = await benchTap(page, base, fresh);
  row(
    `tap to the next figure, ${QUEUED} events queued, p95 of ${taps.length}`,
    `${p95(taps).toFixed(0)} ms (median ${median(taps).toFixed(0)})`,
  );
  await page.unroute('**/events');
  const { patterns } = await ask('/api/patterns?search=desk');
  for (const [words, id] of [
    ['a top of six features', patterns[0].id],
    ['sixty features', sixty],
  ]) {
    const times = await benchDrag(page, base, id);
    row(
      `a cut moved to the route shown anew, ${words}, median of ${times.length}`,
      `${median(times).toFixed(0)} ms`,
    );
  }
  await context.close();
}
