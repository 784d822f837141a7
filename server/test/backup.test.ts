import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Client } from 'pg';
import { settingsFromEnvironment } from '../src/database/settings.js';
import {
  eventsOf,
  newBatch,
  newOwner,
  newPattern,
  openApp,
  PASSWORD,
  tabletFrom,
  visitor,
  type Visitor,
} from './app.js';

const ROOT = join(__dirname, '..', '..');
const FOLDER = mkdtempSync(join(tmpdir(), 'compas-backup-'));
const { ownerUrl } = settingsFromEnvironment();

/** The same at the database that the scripts back up: they know one by its name. */
const at = (url: string): string => Object.assign(new URL(url), { pathname: '/compas' }).href;
const env: NodeJS.ProcessEnv = {
  ...process.env,
  COMPAS_DATA: join(process.env['COMPAS_DATA'] ?? join(ROOT, '.compas'), 'test'),
  COMPAS_DB_OWNER_URL: at(ownerUrl),
  DATABASE_URL: '',
};

/** Runs one of the programs to its end; what it said. */
function ran(file: string, ...args: string[]): Promise<{ code: number | null; said: string }> {
  return new Promise((done) => {
    const child = spawn('node', [join(ROOT, file), ...args], { cwd: ROOT, env });
    let said = '';
    for (const from of [child.stdout, child.stderr])
      from.on('data', (text: Buffer) => (said += String(text)));
    child.on('close', (code) => done({ code, said }));
  });
}
const backUp = (name: string) => ran('scripts/backup.mjs', join(FOLDER, name));
const restore = (name: string) => ran('scripts/restore.mjs', join(FOLDER, name));
const migrate = () => ran('server/dist/migrate.js');

/** What the owner of the tables sees. */
async function asked<Row extends object>(sql: string): Promise<Row[]> {
  const client = new Client({ connectionString: at(ownerUrl) });
  await client.connect();
  try {
    return (await client.query<Row>(sql)).rows;
  } finally {
    await client.end();
  }
}

/** The server on that database while something is done with it. */
async function served<T>(work: (app: NestExpressApplication) => Promise<T>): Promise<T> {
  const app = await openApp({ databaseUrl: env['COMPAS_DB_URL'] ?? '' });
  try {
    return await work(app);
  } finally {
    await app.close();
  }
}

/** What everybody may do, and what the application may: by table, column and function. */
const rights = () =>
  asked<{ who: string; what: string }>(`
SELECT grantee AS who, table_name || ':' || privilege_type AS what FROM information_schema.role_table_grants
 WHERE table_schema = 'public' AND grantee <> current_user
UNION SELECT grantee, table_name || '.' || column_name || ':' || privilege_type FROM information_schema.column_privileges
 WHERE table_schema = 'public' AND grantee <> current_user
UNION SELECT CASE a.grantee WHEN 0 THEN 'PUBLIC' ELSE a.grantee::regrole::text END, proname || ':' || a.privilege_type
 FROM pg_proc p CROSS JOIN aclexplode(coalesce(proacl, acldefault('f', proowner))) a
 WHERE pronamespace = 'public'::regnamespace AND a.grantee <> proowner
UNION SELECT CASE a.grantee WHEN 0 THEN 'PUBLIC' ELSE a.grantee::regrole::text END, 'schema:' || a.privilege_type
 FROM pg_namespace n CROSS JOIN aclexplode(nspacl) a WHERE nspname = 'public' AND a.grantee <> nspowner
 AND a.grantee <> current_user::regrole
ORDER BY 1, 2`);

const PHOTO = `data:image/png;base64,${'iVBORw0KGgo'.repeat(400)}==`;

afterAll(() => rmSync(FOLDER, { recursive: true }));

describe('a backup and its restore', () => {
  let email: string;
  let batch: { id: string };
  let before: Awaited<ReturnType<typeof rights>>;

  beforeAll(async () => {
    // makes the database where there is none, and is whole on an empty one too
    expect((await backUp('empty.dump')).said).toContain('backed up to');
    const [{ value: password = '' } = {}] = await asked<{ value?: string }>(
      `SELECT value FROM compas_private.secrets WHERE name = 'app'`,
    );
    env['COMPAS_DB_URL'] = Object.assign(new URL(at(ownerUrl)), {
      username: 'compas_app_compas',
      password,
    }).href;
    await asked('DROP SCHEMA IF EXISTS before_restore CASCADE');
    await asked('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
    expect(await migrate()).toMatchObject({ code: 0, said: expect.stringContaining('Database migrated') });
    before = await rights();
    await served(async (app) => {
      const owner = await newOwner(app);
      email = owner.email;
      batch = await newBatch(owner);
      const tablet = tabletFrom();
      await owner
        .post(`/api/batches/${batch.id}/events`)
        .send({ events: [tablet(1, { kind: 'noted', stepId: 'saw', words: 'a dark knot', photo: PHOTO })] })
        .expect(200);
      await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201);
      expect((await owner.get('/api/health/backup').expect(200)).body).toEqual({ madeAt: null });
      // also while it is served
      expect((await backUp('good.dump')).said).toContain('backed up to');
      const { madeAt } = (await owner.get('/api/health/backup').expect(200)).body as { madeAt: string };
      expect(Math.abs(Date.parse(madeAt) - Date.now())).toBeLessThan(60_000);
    });
  });
  const signedIn = async (app: NestExpressApplication): Promise<Visitor> => {
    const browser = visitor(app);
    await browser.post('/api/session').send({ email, password: PASSWORD }).expect(200);
    return browser;
  };
  const lifeOf = async (browser: Visitor) =>
    ((await browser.get('/api/session').expect(200)).body as { life: string }).life;
  const patterns = async (browser: Visitor) =>
    ((await browser.get('/api/patterns').expect(200)).body as { patterns: unknown[] }).patterns.length;

  it('is one file that only its owner reads, with nobody signed in and no door open', async () => {
    expect(statSync(join(FOLDER, 'good.dump')).mode & 0o777).toBe(0o600);
    expect(readdirSync(FOLDER).filter((f) => f.endsWith('.part'))).toEqual([]);
    expect((await restore('good.dump')).code).toBe(0);
    const [left] = await asked<{ sessions: number; invites: number }>(
      'SELECT (SELECT count(*)::int FROM sessions) AS sessions, (SELECT count(*)::int FROM invites) AS invites',
    );
    expect(left).toEqual({ sessions: 0, invites: 0 });
  });

  it('brings back what was recorded, photos and all, and nothing that came after it', async () => {
    const since = tabletFrom(Date.UTC(2026, 2, 3))(1, { kind: 'noted', stepId: 'saw', words: 'since' });
    let life = '';
    await served(async (app) => {
      const owner = await signedIn(app);
      await newPattern(owner);
      expect(await patterns(owner)).toBe(2);
      life = await lifeOf(owner);
      await owner
        .post(`/api/batches/${batch.id}/events`)
        .send({ events: [since] })
        .expect(200);
    });
    expect(await restore('good.dump')).toMatchObject({ code: 0, said: expect.stringContaining('restored') });
    await served(async (app) => {
      const owner = await signedIn(app);
      expect(await patterns(owner)).toBe(1);
      const [noted, ...after] = await eventsOf(owner, batch);
      expect(after).toEqual([]);
      // the database lives anew: by that a tablet knows that it has to send what it sent since once more
      expect(await lifeOf(owner)).not.toBe(life);
      const again = await owner
        .post(`/api/batches/${batch.id}/events`)
        .send({ events: [since] })
        .expect(200);
      expect(again.body).toMatchObject({ stored: 1, known: 0 });
      expect(noted?.body).toMatchObject({ words: 'a dark knot', photo: PHOTO });
    });
    expect(await asked(`SELECT 1 FROM pg_namespace WHERE nspname = 'before_restore'`)).toEqual([]);
  });

  it('leaves the application its rights and everybody else none', async () => {
    expect(await rights()).toEqual(before);
    expect(before.filter((r) => r.who === 'PUBLIC')).toEqual([]);
    expect(before.map((r) => r.what)).toEqual(
      expect.arrayContaining([
        'events:INSERT',
        'pieces.step:UPDATE',
        'record_events:EXECUTE',
        'schema:USAGE',
      ]),
    );
    for (const never of ['events:UPDATE', 'events:DELETE', 'users:SELECT', 'backups:INSERT', 'schema:CREATE'])
      expect(before.map((r) => r.what)).not.toContain(never);
  });

  it('is refused while Compas runs on that database', async () => {
    await served(async (app) => {
      await signedIn(app);
      expect(await restore('good.dump')).toMatchObject({
        code: 1,
        said: expect.stringContaining('A Compas is running on this database'),
      });
    });
  });

  it('of a later Compas, and what is no backup, changes nothing', async () => {
    await asked(`INSERT INTO migrations (timestamp, name) VALUES (1, 'Tomorrow1999')`);
    await backUp('later.dump');
    expect(await migrate()).toMatchObject({
      code: 1,
      said: expect.stringContaining('a later Compas: it has Tomorrow1999'),
    });
    await asked(`DELETE FROM migrations WHERE name = 'Tomorrow1999'`);
    const later = await restore('later.dump');
    expect(later).toMatchObject({ code: 1, said: expect.stringContaining('Nothing was restored') });
    writeFileSync(join(FOLDER, 'letter.dump'), 'Dear all');
    expect((await restore('letter.dump')).said).toContain('is no backup of Compas');
    expect((await restore('gone.dump')).said).toContain('There is no');
    await served(async (app) => expect(await patterns(await signedIn(app))).toBe(1));
  });

  it('that was cut short is undone at the next start', async () => {
    await asked(
      'ALTER SCHEMA public RENAME TO before_restore; CREATE SCHEMA public; CREATE TABLE half (x int)',
    );
    expect(await migrate()).toMatchObject({ code: 0, said: expect.stringContaining('is back') });
    await served(async (app) => expect(await patterns(await signedIn(app))).toBe(1));
  });

  it('is not there by halves', async () => {
    writeFileSync(join(FOLDER, 'no folder'), 'but a file');
    const nowhere = await ran('scripts/backup.mjs', join(FOLDER, 'no folder', 'x.dump'));
    expect(nowhere.code).toBe(1);
    expect(existsSync(join(FOLDER, 'no folder', 'x.dump'))).toBe(false);
  });
});

describe('two first starts at once', () => {
  it('both succeed', async () => {
    expect((await backUp('any.dump')).said).toContain('backed up to');
    await asked('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
    const both = await Promise.all([migrate(), migrate()]);
    expect(both.map((b) => b.code)).toEqual([0, 0]);
    expect(both.filter((b) => b.said.includes('Database migrated'))).toHaveLength(1);
  });
});
