import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { gzipSync } from 'node:zlib';
import { benchLathe } from './benchLathe.mjs';
import { openBrowser } from './browser.mjs';
import { benchLists } from './benchLists.mjs';
import { build } from './build.mjs';
import { freshDatabase, loadDemo, migrate } from './database.mjs';
import { ensureDependencies, ensurePostgres } from './packages.mjs';
import { DATA, main, ROOT, say } from './project.mjs';
import { serve } from './serve.mjs';

const PORT = '4691';
const BASE = `http://127.0.0.1:${PORT}`;

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const row = (what, figure) => console.log(`${what.padEnd(58)} ${figure}`);

async function timed(runs, work) {
  const times = [];
  for (let i = 0; i < runs; i++) {
    const begun = performance.now();
    await work(i);
    times.push(performance.now() - begun);
  }
  return times;
}

async function benchPlan() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { exampleInputs } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/exampleShop.js')));
  for (const pieces of [1, 12, 200]) {
    const { pattern, workshop, stock, order, schools } = exampleInputs(pieces);
    const work = () => core.plan(pattern, workshop, stock, order, schools);
    await timed(30, work);
    row(`plan() for ${pieces} pieces, median of 100`, `${median(await timed(100, work)).toFixed(2)} ms`);
  }
}

/** Random parts, each planned once and none before: the same parts each time. */
async function benchRandomParts() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { exampleInputs } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/exampleShop.js')));
  const { examplePart } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/exampleParts.js')));
  const { pattern, workshop, stock, order, schools } = exampleInputs(1);
  const planned = (seed) => {
    const { body } = examplePart(seed, pattern, 'kit');
    core.plan(body, workshop, stock, { ...order, materialId: body.parts[0].materialId }, schools);
  };
  // parts of their own warm it up
  await timed(30, (i) => planned(1000 + i));
  const times = (await timed(200, (i) => planned(1 + i))).sort((a, b) => a - b);
  row('plan() of 200 random parts, median', `${median(times).toFixed(1)} ms`);
  row(
    'plan() of 200 random parts, 95 of 100 within',
    `${times[Math.floor(times.length * 0.95)].toFixed(1)} ms`,
  );
}

/** A sampled handle of so many places with a little noise, the same every time. */
function samplePoints(core, places) {
  const { parts } = core.STARTING_FORMS.find((f) => f.id === 'tool-handle').body({}, 'ash');
  const outline = core.outlineOf(parts[0].turnings[0]);
  let state = 7;
  const noise = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return 0.06 * (state / 2 ** 32 - 0.5);
  };
  return Array.from({ length: places }, (_, i) => {
    const x = (outline.length * (i + 0.5)) / places;
    const r = core.radiusAt(outline, x);
    return { x, up: r + noise(), down: r + noise() };
  });
}

async function benchPatternBench() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const points = samplePoints(core, 2000);
  await timed(3, () => core.fitSample(points));
  row(
    'elements from 2,000 sampled places, median of 10',
    `${median(await timed(10, () => core.fitSample(points))).toFixed(0)} ms`,
  );
  const body = benchPattern(core);
  const part = body.parts[0];
  const outline = core.outlineOf(part.turnings[0]);
  let error = 0.1;
  while (core.latheMesh(outline, part.holes, error).indices.length / 3 < 100_000) error *= 0.8;
  const facets = core.latheMesh(outline, part.holes, error).indices.length / 3;
  const stl = await timed(5, () => core.stlOf([core.latheMesh(outline, part.holes, error)]));
  row(`STL of ${facets} facets, median of 5`, `${median(stl).toFixed(0)} ms`);
}

/** Sixty elements and three holes. */
function benchPattern(core) {
  const kinds = ['bead', 'cove', 'cylinder', 'ogee', 'taper', 'fair'];
  const elements = Array.from({ length: 60 }, (_, i) =>
    core.newElement(kinds[i % kinds.length], `e${i}`, 30),
  );
  const hole = (id, from, diameter, depth) => ({
    id,
    name: id,
    from,
    through: false,
    pointAngle: 118,
    steps: [{ diameter: core.dim(diameter), depth: core.dim(depth) }],
  });
  // every element begins where the one before ended: give those that end elsewhere the same end
  const even = elements.map((e) => {
    if (e.kind === 'ogee') return { ...e, endDiameter: core.dim(34) };
    if (e.kind === 'taper' || e.kind === 'fair') return { ...e, endDiameter: core.dim(30) };
    return e.kind === 'bead' ? { ...e, crown: core.dim(36) } : e;
  });
  return {
    schema: 1,
    kind: 'other',
    usedBy: 'anybody',
    parts: [
      {
        id: 'part1',
        name: 'Body',
        perItem: 1,
        materialId: 'ash',
        turnings: [{ id: 'turning1', startDiameter: core.dim(30), elements: even }],
        holes: [hole('a', 'reference', 8, 40), hole('b', 'far', 10, 20), hole('c', 'far', 6, 60)],
      },
    ],
    hardware: [],
    lastId: 100,
  };
}

/** From a key press in the list to the strip drawn anew, in the page itself. */
async function benchEditing(browser, ask) {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { id } = await ask('/api/patterns', { name: 'Bench of sixty', body: benchPattern(core) });
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await page.request.post(`${BASE}/api/session/demo`, { headers: { 'x-compas': '1' } });
  await page.goto(`${BASE}/patterns/${id}`);
  await page.getByRole('textbox', { name: 'cylinder, length' }).first().focus();
  const times = await page.evaluate(async () => {
    const edge = document.querySelector('.strip-edge');
    const found = [];
    for (let i = 0; i < 60; i++) {
      const drawn = new Promise((done) => {
        const observer = new MutationObserver(() => {
          observer.disconnect();
          done(performance.now());
        });
        observer.observe(edge, { attributes: true, attributeFilter: ['d'] });
      });
      const begun = performance.now();
      document.activeElement.dispatchEvent(
        new KeyboardEvent('keydown', {
          key: i % 2 ? 'ArrowDown' : 'ArrowUp',
          bubbles: true,
          cancelable: true,
        }),
      );
      found.push((await drawn) - begun);
      await new Promise((later) => setTimeout(later, 120));
    }
    return found;
  });
  row('edit to redrawn strip, 60 elements and 3 holes, median of 60', `${median(times).toFixed(1)} ms`);
  await context.close();
  return id;
}

/** Twelve megapixels, by the same code on the same engine as in the page's worker. */
async function benchPhoto() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { paintSample } = await import(
    pathToFileURL(join(ROOT, 'core/dist/files/fixtures/paintedSample.js'))
  );
  const truth = JSON.parse(readFileSync(join(ROOT, 'core/src/files/fixtures/old-finial.json'), 'utf8'));
  const outline = core.outlineOf(truth.turning);
  const size = { width: 4000, height: 3000, pixelsPerMm: 28 };
  const painted = paintSample({ ...truth.photo, ...size, outline });
  const times = await timed(3, () => core.silhouetteOf({ ...painted, strictness: 1 }));
  row('silhouette in a photo of 12 megapixels, median of 3', `${median(times).toFixed(0)} ms`);
}

/** Orders and stock of a size, the same every time: ten lengths in five sections, boards of four thicknesses. */
function cuttingInstance(core, pieces, boards) {
  let state = 11;
  const next = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
  const kinds = pieces <= 20 ? 3 : pieces <= 100 ? 6 : 10;
  const demand = Array.from({ length: kinds }, (_, i) => ({
    id: `d${i}`,
    label: `order ${i}`,
    materialId: 'ash',
    section: [28, 36, 43, 52, 60][i % 5],
    length: 60 + Math.floor(next() * 260),
    count: Math.floor(pieces / kinds) + (i < pieces % kinds ? 1 : 0),
    octagon: i % 2 === 0,
  }));
  const stock = Array.from({ length: boards }, (_, i) => {
    const [thickness, width, length] = [
      [38, 52, 63, 75][i % 4],
      110 + Math.floor(next() * 140),
      700 + Math.floor(next() * 1600),
    ];
    const knot = {
      from: length * 0.3,
      to: length * 0.3 + 60,
      low: width * 0.4,
      high: width * 0.4 + 30,
      why: 'knot',
    };
    return {
      id: `s${i}`,
      label: `board ${i}`,
      form: 'board',
      materialId: 'ash',
      pieces: 1,
      thickness,
      width,
      length,
      zones: i % 4 === 1 ? [knot] : [],
      rough: true,
      endTrim: 15,
      cost: Math.round(((thickness * width * length) / 1e9) * 210_000 * (0.9 + 0.2 * next())),
    };
  });
  return { demand, stock, sawing: core.sawingOf({}) };
}

/** Cutting plans against the bound of the solver, both orders of sawing studied, by the code that the worker runs. */
/** Template of sixty elements; everything about fitting a batch worked out again. */
async function benchFitting() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { exampleInputs } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/exampleShop.js')));
  const body = benchPattern(core);
  const [part] = body.parts;
  const outline = core.outlineOf(part.turnings[0]);
  const template = () => core.templateOf(outline, { stylus: 2, cutter: 3 });
  await timed(30, template);
  const edges = await timed(100, template);
  row(
    `template of 60 elements, ${outline.length.toFixed(0)} mm, median of 100`,
    `${median(edges).toFixed(1)} ms`,
  );
  const { workshop, schools, order, stock } = exampleInputs(12);
  const material = core.materialById('ash');
  const site = { material, workshop, choices: [], usual: undefined };
  const fitting = () => {
    const drill = core.planDrilling(part, outline, [], site);
    const wish = { part, kind: 'other', outline, holes: drill.holes, material };
    const [mount] = core.proposeMounts(wish, workshop);
    const blank = { section: 40, diagonal: 57, length: outline.length + 30 };
    core.mountFindings(mount, { part, outline, blank, mass: 900, rpm: 1500, tailDrill: null }, workshop);
    return core.layoutOf(outline, {
      faces: [],
      bores: [],
      material,
      gauges: workshop.gauges,
      firstGrain: 125,
    });
  };
  await timed(30, fitting);
  const fitted = await timed(100, fitting);
  row('drilling, mounting and marks of it, median of 100', `${median(fitted).toFixed(1)} ms`);
  const whole = () => core.plan(body, workshop, stock, order, schools);
  await timed(10, whole);
  row('its whole plan, median of 50', `${median(await timed(50, whole)).toFixed(1)} ms`);
}

/** A route of 120 operations and more, planned and played. */
async function benchRoute() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { exampleInputs } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/exampleShop.js')));
  const { planPart } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/part/planPart.js')));
  const { routeWork } = await import(pathToFileURL(join(ROOT, 'core/dist/plan/part/routeWork.js')));
  const body = benchPattern(core);
  const inputs = exampleInputs(1);
  const pattern = { ...body, hardware: [] };
  const order = { ...inputs.order, mount: 'between centres' };
  const asked = { ...inputs, pattern, order };
  const work = routeWork(body.parts[0], planPart(body.parts[0], asked).plan, asked);
  const route = core.usualRoute(work);
  const lengths = () => work.outline.length;
  const count = route.operations.length;
  const half = Math.floor(count / 2);
  const { before, end } = core.play(route, lengths);
  const rest = { ...route, operations: route.operations.slice(half) };
  for (const [what, one] of [
    [`usual route of 60 elements (${count} operations), median of 50`, () => core.usualRoute(work)],
    ['playing it, median of 50', () => core.play(route, lengths)],
    ['holding its end against the drawing, median of 50', () => core.covers(end, [core.goalOf(work)])],
    [
      'plan() of that part, median of 50',
      () => core.plan(pattern, inputs.workshop, inputs.stock, order, inputs.schools),
    ],
    ['playing its second half from the middle, median of 50', () => core.play(rest, lengths, before[half])],
  ]) {
    await timed(10, one);
    row(what, `${median(await timed(50, one)).toFixed(1)} ms`);
  }
}

async function benchCutting() {
  const core = await import(pathToFileURL(join(ROOT, 'core/dist/index.js')));
  const { default: load } = await import(pathToFileURL(join(ROOT, 'node_modules/highs/build/highs.mjs')));
  const solve = core.solverOf(await load());
  for (const [pieces, boards] of [
    [20, 6],
    [100, 15],
    [500, 40],
  ]) {
    const input = cuttingInstance(core, pieces, boards);
    let plans;
    const times = await timed(3, () => (plans = core.studyCutting(input, solve)));
    const [plan] = plans;
    const dearest = Math.max(...plan.cuts.map((cut) => input.stock.find((s) => s.id === cut.stockId).cost));
    const gap = plan.cost - plan.bound;
    row(`cutting ${pieces} pieces from ${boards} boards, median of 3`, `${median(times).toFixed(0)} ms`);
    row(
      '  above the bound',
      plan.proven
        ? 'nothing: proven cheapest'
        : `${((100 * gap) / plan.bound).toFixed(1)} %, ${(gap / dearest).toFixed(2)} of the dearest board opened`,
    );
    row('  ratio to cutting them as they come', (plan.cost / plan.compared.cost).toFixed(2));
    row(
      '  blanks to saw list',
      `${median(await timed(20, () => core.sawListOf(plan, input))).toFixed(2)} ms`,
    );
  }
}

/** Signs in at the demo's door and gives a fetch that is signed in. */
async function signedIn() {
  const answer = await fetch(`${BASE}/api/session/demo`, { method: 'POST', headers: { 'x-compas': '1' } });
  const cookie = answer.headers.getSetCookie()[0].split(';')[0];
  return async (path, body) => {
    const got = await fetch(BASE + path, {
      method: body ? 'POST' : 'GET',
      headers: { cookie, 'x-compas': '1', ...(body ? { 'content-type': 'application/json' } : {}) },
      body: body ? JSON.stringify(body) : undefined,
    });
    if (!got.ok) throw new Error(`${path} answered ${got.status}`);
    return got.json();
  };
}

/** Pieces of the demo batch that is recorded on. */
const PIECES = 8;

const event = (i) => ({
  id: crypto.randomUUID(),
  piece: 1 + (i % PIECES),
  at: new Date().toISOString(),
  device: 'bench',
  sequence: i,
  planVersion: 1,
  body: { kind: 'timed', stepId: 'sand', timerId: 'P150' },
});

async function benchServer(databaseUrl) {
  const ask = await signedIn();
  const batch = (await ask('/api/batches?away=no')).batches.find((b) => b.stepsDone > 0);
  const address = `/api/batches/${batch.id}`;
  await timed(20, () => ask(address));
  row(
    'reading a batch with its plan and events, one after another',
    `${(1000 / median(await timed(200, () => ask(address)))).toFixed(0)} requests/s`,
  );
  const begun = performance.now();
  await Promise.all(Array.from({ length: 8 }, () => timed(50, () => ask(address))));
  row('reading a batch, eight at a time', `${(400_000 / (performance.now() - begun)).toFixed(0)} requests/s`);
  const append = (i) => ask(`${address}/events`, { events: [event(i)] });
  await timed(20, append);
  const bare = await bareInserts(databaseUrl);
  // in turns, so that a drift of the machine's speed strikes both alike
  const http = [];
  const sql = [];
  for (let i = 0; i < 200; i++) {
    http.push(...(await timed(1, () => append(1000 + i))));
    sql.push(...(await timed(1, bare.insert)));
  }
  await bare.close();
  row(
    'appending one event over HTTP, median',
    `${median(http).toFixed(2)} ms (${(1000 / median(http)).toFixed(0)} requests/s)`,
  );
  row('a bare insert into the same server, same durability', `${median(sql).toFixed(2)} ms`);
  row('ratio', `${(median(http) / median(sql)).toFixed(2)}`);
  const hundred = (i) =>
    ask(`${address}/events`, { events: Array.from({ length: 100 }, (_, j) => event(i * 100 + j)) });
  const perEvent = median(await timed(10, hundred)) / 100;
  row('appending a hundred events in one request, for each', `${perEvent.toFixed(2)} ms`);
  row('ratio to a bare insert', `${(perEvent / median(sql)).toFixed(2)}`);
}

/** Plain inserts of such an event into a table without policies, each its own transaction. */
async function bareInserts(ownerUrl) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  await client.query(
    'CREATE TABLE IF NOT EXISTS bench_bare (id uuid PRIMARY KEY, at timestamptz, body jsonb)',
  );
  const insert = () =>
    client.query('INSERT INTO bench_bare VALUES ($1, now(), $2)', [
      crypto.randomUUID(),
      JSON.stringify(event(1)),
    ]);
  await timed(20, insert);
  return { insert, close: () => client.end() };
}

async function benchBrowser(ask) {
  const browser = await openBrowser();
  const sixty = await benchEditing(browser, ask);
  await benchLathe({ browser, base: BASE, ask, row, sixty });
  const { times, size } = await firstScreens(browser);
  await browser.close();
  row('JavaScript before the first working screen, gzip', `${(size / 1000).toFixed(0)} kB`);
  row('time to the first usable screen on loopback, median of 5', `${median(times).toFixed(0)} ms`);
}

/** The Bench opened by somebody new to it, some times over. */
async function firstScreens(browser) {
  const times = [];
  let size = 0;
  // one sign-in for all: the door lets somebody in ten times a minute
  const door = await browser.newContext();
  await door.request.post(`${BASE}/api/session/demo`, { headers: { 'x-compas': '1' } });
  const storageState = await door.storageState();
  await door.close();
  for (let i = 0; i < 5; i++) {
    const context = await browser.newContext({ serviceWorkers: 'block', storageState });
    const page = await context.newPage();
    const scripts = [];
    page.on('response', (response) => response.url().endsWith('.js') && scripts.push(response));
    const begun = performance.now();
    await page.goto(BASE);
    await page.getByRole('heading', { name: /On the bench/ }).waitFor();
    times.push(performance.now() - begun);
    const bodies = await Promise.all(scripts.map((response) => response.body()));
    size = bodies.reduce((sum, body) => sum + gzipSync(body, { level: 6 }).length, 0);
    await context.close();
  }
  return { times, size };
}

/** What is measured alone: `npm run bench -- plan` plans, `npm run bench -- server` the server and its lists. */
const only = process.argv[2];

/** What needs neither server nor browser. */
async function benchThinking() {
  await benchPlan();
  await benchRandomParts();
  if (only === 'plan') return;
  await benchPatternBench();
  await benchFitting();
  await benchRoute();
  await benchPhoto();
  await benchCutting();
}

async function benchLarge(ownerUrl) {
  await benchLists({ ask: await signedIn(), row, timed, ownerUrl });
  const browser = await openBrowser();
  const { times } = await firstScreens(browser);
  await browser.close();
  row('the Bench of that workshop usable, median of 5', `${median(times).toFixed(0)} ms`);
}

await main(async () => {
  await ensureDependencies();
  await ensurePostgres();
  await build();
  if (only === undefined || only === 'plan') await benchThinking();
  if (only === 'plan') return;
  const { env, stop } = await freshDatabase({
    data: join(DATA, 'bench'),
    name: 'compas_bench',
    durable: true,
  });
  await migrate(env);
  await loadDemo(env);
  const server = serve({ ...env, PORT }, { quiet: true });
  try {
    await server.listening;
    await benchServer(env.COMPAS_DB_OWNER_URL);
    await benchBrowser(await signedIn());
    await benchLarge(env.COMPAS_DB_OWNER_URL);
  } finally {
    server.stop();
    await server.ended;
    stop();
  }
  say('figures of this machine at this moment; compare ratios, not times');
});
