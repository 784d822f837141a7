import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { asAdministrator, migrate, openDatabase } from './database.mjs';
import { compileServer } from './build.mjs';
import { ensureDependencies } from './packages.mjs';
import { main, ROOT, say } from './project.mjs';
import { outputOf } from './run.mjs';
import { serve } from './serve.mjs';

/** So many tablets record at once. */
const TABLETS = 4;
/** From one fault to the next at most, ms. */
const BETWEEN = 2_500;
/** So many faults of each kind, unless another number is given. */
const ROUNDS = Number(process.argv[2] ?? 10);
const PORT = Number(process.env.PORT ?? 4655);
const DATA = join(ROOT, '.cache', 'faults');
const PASSWORD = 'kept whatever happens';

const later = (ms) => new Promise((done) => setTimeout(done, ms));
const pause = () => later(200 + Math.random() * (BETWEEN - 200));

/** The server as a supervisor keeps it: it is started again when it is killed; that it ends by itself is counted. */
class Shop {
  died = 0;
  killing = false;

  constructor(env) {
    this.env = env;
  }
  async open() {
    this.server = serve(this.env, { quiet: true });
    const { ended } = this.server;
    void ended.then(() => {
      if (!this.killing) this.died += 1;
    });
    await this.server.listening;
  }
  async kill() {
    this.killing = true;
    this.server.child.kill('SIGKILL');
    await this.server.ended;
    this.killing = false;
  }
  async stop() {
    this.killing = true;
    this.server.stop();
    await this.server.ended;
  }
}

/** A person in a browser: one cookie, our header. */
class Visitor {
  cookie = '';

  async ask(method, path, body) {
    const answer = await fetch(`http://127.0.0.1:${PORT}/api${path}`, {
      method,
      headers: { 'x-compas': '1', 'content-type': 'application/json', cookie: this.cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(10_000),
    });
    const set = answer.headers.get('set-cookie');
    if (set) this.cookie = set.split(';')[0];
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
    return text === '' ? null : JSON.parse(text);
  }
}

/** Keeps what it records until the server has it, like a tablet at the lathe. */
class Tablet {
  made = new Map();
  queue = [];
  refused = 0;
  device = randomUUID();
  sequence = 0;

  constructor(visitor, batch) {
    Object.assign(this, { visitor, batch });
  }
  record() {
    const event = {
      id: randomUUID(),
      piece: 1 + Math.floor(Math.random() * this.batch.pieces),
      at: new Date().toISOString(),
      device: this.device,
      sequence: (this.sequence += 1),
      planVersion: 1,
      body: { kind: 'noted', stepId: 'faults', words: `${this.device} ${this.sequence}` },
    };
    this.made.set(event.id, JSON.stringify(event.body));
    this.queue.push(event);
  }
  async send() {
    const piece = this.queue.slice(0, 50);
    if (piece.length === 0) return;
    try {
      const sent = new Date().toISOString();
      await this.visitor.ask('POST', `/batches/${this.batch.id}/events`, { events: piece, sent });
      this.queue.splice(0, piece.length);
    } catch {
      this.refused += 1;
      await later(100);
    }
  }
  async work(until) {
    while (!until.over) {
      this.record();
      await this.send();
    }
    while (this.queue.length > 0) await this.send();
  }
}

async function batchFor(visitor) {
  const { STARTING_FORMS } = await import('../core/dist/index.js');
  const body = STARTING_FORMS.find((f) => f.id === 'stopper').body({}, 'maple');
  await visitor.ask('POST', '/session/account', {
    name: 'Whoever records',
    email: `${randomUUID()}@faults.example`,
    password: PASSWORD,
    workshop: 'Faults',
    timeZone: 'UTC',
    units: 'mm',
  });
  const pattern = await visitor.ask('POST', '/patterns', { name: 'Stopper', body });
  return visitor.ask('POST', '/batches', {
    pieces: 20,
    start: '2026-03-02T08:00',
    due: null,
    materialId: 'maple',
    finishId: null,
    perBlank: 1,
    mount: null,
    schools: { speed: 'rpm-diameter', batching: 'by-operation' },
    patternId: pattern.id,
    revision: 1,
    name: 'Faults',
    customer: 'Nobody',
  });
}

/** Process of the database: its first line of what it says of itself. */
function postmaster(folder) {
  const file = join(folder, 'postmaster.pid');
  const text = process.getuid?.() === 0 ? outputOf('cat', [file]) : readFileSync(file, 'utf8');
  return Number(text.split('\n')[0]);
}

async function killBackend(url) {
  const pids = await asAdministrator(url, async (client) => {
    const { rows } = await client.query(
      `SELECT pid FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()`,
    );
    return rows.map((r) => r.pid);
  });
  const pid = pids[Math.floor(Math.random() * pids.length)];
  if (pid !== undefined) process.kill(pid, 'SIGKILL');
}

/** What was lost, doubled or changed of all that the tablets made. */
async function compare(visitor, batch, tablets) {
  const stored = new Map();
  let doubled = 0;
  for (let after = 0, more = true; more;) {
    const page = await visitor.ask('GET', `/batches/${batch.id}/events?after=${after}`);
    for (const { id, body } of page.events) {
      if (stored.has(id)) doubled += 1;
      stored.set(id, body);
    }
    ({ last: after, more } = page);
  }
  const made = tablets.flatMap((t) => [...t.made]);
  const same = (a, b) =>
    JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());
  return {
    made: made.length,
    lost: made.filter(([id]) => !stored.has(id)).length,
    doubled,
    changed: made.filter(([id, body]) => stored.has(id) && !same(stored.get(id), JSON.parse(body))).length,
  };
}

await main(async () => {
  await ensureDependencies();
  await compileServer();
  rmSync(DATA, { recursive: true, force: true });
  let database = await openDatabase({ data: DATA, name: 'faults' });
  await migrate(database.env);
  const shop = new Shop({ ...database.env, HOST: '127.0.0.1', PORT: String(PORT) });
  await shop.open();
  const visitor = new Visitor();
  const batch = await batchFor(visitor);
  const tablets = Array.from({ length: TABLETS }, () => new Tablet(visitor, batch));
  const load = { over: false };
  const working = Promise.all(tablets.map((t) => t.work(load)));

  const reopen = async () => {
    database = await openDatabase({ data: DATA, name: 'faults' });
    shop.env = { ...shop.env, ...database.env };
  };
  const killPostmaster = () => process.kill(postmaster(database.folder), 'SIGKILL');
  const FAULTS = {
    'the server': async () => {
      await shop.kill();
      await shop.open();
    },
    'one process of the database': () => killBackend(database.env.COMPAS_DB_OWNER_URL),
    'the whole database': async () => {
      killPostmaster();
      await later(500);
      const { port } = new URL(shop.env.COMPAS_DB_URL);
      await reopen();
      // a new port is another address: then the server is started anew, as its start script does
      if (new URL(shop.env.COMPAS_DB_URL).port !== port) {
        await shop.kill();
        await shop.open();
      }
    },
    'everything at once': async () => {
      killPostmaster();
      await shop.kill();
      await later(500);
      await reopen();
      await shop.open();
    },
  };
  const from = Date.now();
  try {
    for (let round = 1; round <= ROUNDS; round += 1)
      for (const [what, fault] of Object.entries(FAULTS)) {
        await pause();
        await fault();
        say(`${round}/${ROUNDS}: killed ${what}`);
      }
    await pause();
    load.over = true;
    await working;
    const { made, lost, doubled, changed } = await compare(visitor, batch, tablets);
    const refused = tablets.reduce((n, t) => n + t.refused, 0);
    say(
      `${ROUNDS * Object.keys(FAULTS).length} kills in ${Math.round((Date.now() - from) / 1000)} s, ${TABLETS} tablets`,
    );
    say(`${made} events made, ${refused} times sent in vain`);
    say(
      `lost ${lost}, doubled ${doubled}, changed ${changed}, the server ended by itself ${shop.died} times`,
    );
    if (lost + doubled + changed + shop.died > 0) process.exitCode = 1;
  } finally {
    load.over = true;
    await shop.stop();
    database.stop();
  }
});
