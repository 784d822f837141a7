import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';

const ROOT = join(__dirname, '..', '..');
const folders: string[] = [];
const folder = (name: string): string => {
  const made = mkdtempSync(join(tmpdir(), `compas-${name}-`));
  folders.push(made);
  // the user of the database must get there
  chmodSync(made, 0o755);
  return made;
};
/** The private cluster of a shop, and the folder of another Compas that is told of its database. */
const [SHOP, ELSEWHERE] = [folder('shop'), folder('elsewhere')];

interface Opened {
  COMPAS_DB_URL: string;
  COMPAS_DB_OWNER_URL: string;
  COMPAS_SESSION_SECRET: string;
}

/** Runs a program to its end; what it said. */
function ran(args: string[], env: object = {}): Promise<{ code: number | null; said: string }> {
  return new Promise((done) => {
    const child = spawn(process.execPath, args, { cwd: ROOT, env: { ...process.env, ...env } });
    let said = '';
    for (const from of [child.stdout, child.stderr])
      from.on('data', (text: Buffer) => (said += String(text)));
    child.on('close', (code) => done({ code, said }));
  });
}

/** Opens a database as the start script does; it is left running for as long as another holds it. */
async function opened(data: string, name: string, env: object = {}): Promise<Opened> {
  const script = `
    const { openDatabase } = await import(${JSON.stringify(join(ROOT, 'scripts/database.mjs'))});
    const { env } = await openDatabase({ data: ${JSON.stringify(data)}, name: ${JSON.stringify(name)}, durable: false });
    console.log('=' + JSON.stringify(env));`;
  const { said, code } = await ran(['--input-type=module', '-e', script], { DATABASE_URL: '', ...env });
  expect({ code, said }).toMatchObject({ code: 0 });
  return JSON.parse(said.slice(said.indexOf('={') + 1)) as Opened;
}

async function asked<Row extends object>(url: string, sql: string): Promise<Row[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Row>(sql)).rows;
  } finally {
    await client.end();
  }
}
const refusal = (url: string, sql: string) =>
  asked(url, sql).then(
    () => 'nothing was refused',
    (error: Error) => error.message,
  );
const migrate = (env: Opened) => ran(['server/dist/migrate.js'], env);
const loadDemo = (env: Opened) => ran(['server/dist/demo/load.js'], env);

/** Leaves the cluster: whoever is last stops it. */
const stopped = () =>
  ran([
    '-e',
    `import(${JSON.stringify(join(ROOT, 'scripts/cluster.mjs'))}).then((m) => m.startCluster(${JSON.stringify(SHOP)}, false)).then((c) => c.stop())`,
  ]);

let one: Opened;
let two: Opened;
beforeAll(async () => {
  one = await opened(SHOP, 'one');
  two = await opened(SHOP, 'two');
});
afterAll(async () => {
  await stopped();
  for (const made of folders) rmSync(made, { recursive: true, force: true });
});

describe('several databases in one PostgreSQL, and several servers on one database', () => {
  it('have a role each, and none breaks the password of another', async () => {
    expect(new URL(one.COMPAS_DB_URL).username).toBe('compas_app_one');
    expect(new URL(two.COMPAS_DB_URL).username).toBe('compas_app_two');
    for (const { COMPAS_DB_URL: url } of [one, two])
      expect(await asked(url, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
    expect((await opened(SHOP, 'one')).COMPAS_DB_URL).toBe(one.COMPAS_DB_URL);
  });

  it('share what belongs to the database, wherever the other one keeps its data', async () => {
    const other = await opened(ELSEWHERE, 'whatever', { DATABASE_URL: superuserOf(one) });
    expect(other.COMPAS_DB_URL).toBe(one.COMPAS_DB_URL);
    expect(other.COMPAS_SESSION_SECRET).toBe(one.COMPAS_SESSION_SECRET);
    expect(await asked(one.COMPAS_DB_URL, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
  });

  it('make what they share once, also when two start for the first time at once', async () => {
    const both = await Promise.all([opened(SHOP, 'three'), opened(SHOP, 'three')]);
    expect(both[0]).toEqual(both[1]);
    expect(await asked(both[0].COMPAS_DB_URL, 'SELECT 1 AS one')).toEqual([{ one: 1 }]);
  });

  it('keep it where their owner alone reads it', async () => {
    const secrets = 'SELECT value FROM compas_private.secrets';
    expect(await asked(one.COMPAS_DB_OWNER_URL, secrets)).toHaveLength(2);
    expect(await refusal(one.COMPAS_DB_URL, secrets)).toContain(
      'permission denied for schema compas_private',
    );
  });
});

it('somebody with a role of their own sees nothing, and whose role the application had before neither', async () => {
  await asked(
    superuserOf(one),
    `CREATE ROLE compas_app LOGIN PASSWORD 'old'; CREATE ROLE passer_by LOGIN PASSWORD 'by'`,
  );
  expect((await migrate(one)).code).toBe(0);
  await asked(one.COMPAS_DB_OWNER_URL, 'GRANT SELECT ON events TO compas_app');
  expect((await migrate(one)).code).toBe(0);
  const as = (username: string, password: string) =>
    Object.assign(new URL(one.COMPAS_DB_URL), { username, password }).href;
  expect(await refusal(as('passer_by', 'by'), 'SELECT 1')).toContain('permission denied for database');
  await asked(superuserOf(one), 'GRANT CONNECT ON DATABASE one TO passer_by, compas_app');
  for (const url of [as('passer_by', 'by'), as('compas_app', 'old')])
    for (const sql of ['SELECT 1 FROM events', 'SELECT 1 FROM users', `SELECT newest_receipt()`])
      expect(await refusal(url, sql)).toMatch(/permission denied|does not exist/);
});

describe('the demo', () => {
  const workshops = ({ COMPAS_DB_OWNER_URL: url }: Opened) =>
    asked<{ name: string; members: number }>(
      url,
      'SELECT w.name, count(*)::int AS members FROM workshops w JOIN memberships m ON m.workshop_id = w.id GROUP BY w.id',
    );

  it('is loaded once when two start at once, and not again', async () => {
    expect((await migrate(two)).code).toBe(0);
    const both = await Promise.all([loadDemo(two), loadDemo(two)]);
    expect(both.map((b) => b.code)).toEqual([0, 0]);
    expect(both.filter((b) => b.said.includes('Demo workshop loaded.'))).toHaveLength(1);
    expect(await workshops(two)).toMatchObject([{ members: 2 }]);
    expect((await loadDemo(two)).said).toBe('');
  });

  it('that was cut short is noticed and loaded to its end', async () => {
    const four = await opened(SHOP, 'four');
    expect([(await migrate(four)).code, (await loadDemo(four)).code]).toEqual([0, 0]);
    await asked(four.COMPAS_DB_OWNER_URL, `DELETE FROM users WHERE email = 'tobi@quillhaven.example'`);
    expect((await loadDemo(four)).said).toContain('not loaded to its end');
    expect(await workshops(four)).toMatchObject([{ members: 2 }]);
  });
});

it('a disk that is full is said with its folder and the way out, and nothing is begun', async () => {
  const data = folder('full');
  const script = `import(${JSON.stringify(join(ROOT, 'scripts/cluster.mjs'))}).then((m) => m.startCluster(${JSON.stringify(data)})).catch((e) => { console.error(e.message); process.exit(1); })`;
  const { code, said } = await ran(['-e', script], { COMPAS_LEAST_ROOM: '1e18' });
  expect(code).toBe(1);
  expect(said).toContain(data);
  expect(said).toMatch(/is full: \d+ MB are left.*COMPAS_DATA/s);
});

/** Its owner may not make roles: an existing PostgreSQL gives one that may. */
function superuserOf({ COMPAS_DB_OWNER_URL }: Opened): string {
  const { superuser } = JSON.parse(readFileSync(join(SHOP, 'secrets.json'), 'utf8')) as { superuser: string };
  return Object.assign(new URL(COMPAS_DB_OWNER_URL), { username: 'postgres', password: superuser }).href;
}
