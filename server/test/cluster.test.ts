import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const CLUSTER = join(__dirname, '../../scripts/cluster.mjs');
let data: string;
beforeAll(() => {
  data = mkdtempSync(join(tmpdir(), 'compas-cluster-'));
  // the user of the database must get there
  chmodSync(data, 0o755);
  expect(started()).toMatchObject({ ok: true });
});
afterAll(() => rmSync(data, { recursive: true, force: true }));

/** Starts the database of the data folder as the start script does, and stops it again. */
function started(): { ok: boolean; words: string } {
  const script = `import(${JSON.stringify(CLUSTER)}).then((m) => m.startCluster(${JSON.stringify(data)})).then((c) => c.stop()).catch((e) => { console.error(e.message); process.exit(1); })`;
  const { status, stdout, stderr } = spawnSync(process.execPath, ['-e', script], { encoding: 'utf8' });
  return { ok: status === 0, words: stdout + stderr };
}
const secrets = () => join(data, 'secrets.json');

it('a first start that was cut short leaves no password behind and is begun anew', () => {
  rmSync(join(data, 'postgres'), { recursive: true });
  mkdirSync(join(data, 'postgres.making', 'base'), { recursive: true });
  writeFileSync(join(data, 'superuser.pw'), 'plain');
  expect(started()).toMatchObject({ ok: true });
  expect(existsSync(join(data, 'superuser.pw'))).toBe(false);
  expect(existsSync(join(data, 'postgres.making'))).toBe(false);
  expect(started()).toMatchObject({ ok: true });
});

it.each([
  ['cannot be read', '{"superuser": "x", "ow', /cannot be read: .* Put the file back from a copy/],
  ['lacks one', '{"superuser": "x", "owner": "y", "session": "z"}', /cannot be read: it lacks app\./],
])('a file of passwords that %s is named, and nothing is made in its place', (_, damaged, words) => {
  const before = readFileSync(secrets(), 'utf8');
  writeFileSync(secrets(), damaged);
  const said = started();
  expect(said.ok).toBe(false);
  expect(said.words).toContain(secrets());
  expect(said.words).toMatch(words);
  expect(readFileSync(secrets(), 'utf8')).toBe(damaged);
  writeFileSync(secrets(), before);
  expect(started()).toMatchObject({ ok: true });
});

it('a file of passwords that is missing beside its database is not made anew: it would not open it', () => {
  const before = readFileSync(secrets(), 'utf8');
  rmSync(secrets());
  const said = started();
  expect(said.ok).toBe(false);
  expect(said.words).toMatch(
    /There is a database in .*postgres, but the file with its passwords, .*secrets\.json, is missing/,
  );
  expect(existsSync(secrets())).toBe(false);
  writeFileSync(secrets(), before, { mode: 0o600 });
});
