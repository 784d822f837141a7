import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { main, ROOT, say } from './project.mjs';
import { run } from './run.mjs';

const minutes = (ms) => `${Math.floor(ms / 60_000)} min ${Math.round((ms % 60_000) / 1000)} s`;

async function timed(what, work) {
  const begun = performance.now();
  await work();
  say(`${what}: ${minutes(performance.now() - begun)}`);
}

/** `npm start` until it says where it is open; then it is told to stop, as with Ctrl-C. */
const startedAndStopped = (cwd, env) =>
  new Promise((done, failed) => {
    const child = spawn('npm', ['start'], { cwd, env, stdio: ['ignore', 'pipe', 'inherit'], detached: true });
    let open = false;
    child.stdout.on('data', (words) => {
      process.stdout.write(words);
      if (open || !String(words).includes('compas: open http')) return;
      open = true;
      process.kill(-child.pid, 'SIGINT');
    });
    child.on('error', failed);
    child.on('close', (code) =>
      open ? done() : failed(new Error(`npm start ended with ${code} before it was open.`)),
    );
  });

/**
 * The two commands of the README as a newcomer meets them: a clone in an empty folder, with an empty cache of npm and
 * nothing that tests remember. `npm run test:fresh -- --seed 7` gives its words to `npm test`.
 */
await main(async () => {
  const folder = mkdtempSync(join(tmpdir(), 'compas-fresh-'));
  // the user of the database must get there
  chmodSync(folder, 0o755);
  const clone = join(folder, 'compas');
  const env = { ...process.env, npm_config_cache: join(folder, 'npm'), PORT: '4601' };
  for (const name of ['COMPAS_DATA', 'DATABASE_URL', 'COMPAS_SHARE', 'COMPAS_SEED']) delete env[name];
  try {
    say(`a fresh clone of what is committed, in ${folder}`);
    await run('git', ['clone', '--quiet', ROOT, clone]);
    await timed('npm start, to the address and back', () => startedAndStopped(clone, env));
    const words = process.argv.slice(2);
    await timed('npm test', () => run('npm', ['test', '--', ...words], { cwd: clone, env }));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
