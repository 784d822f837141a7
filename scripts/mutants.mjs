import { spawn } from 'node:child_process';
import { ensureDependencies } from './packages.mjs';
import { main, ROOT, say } from './project.mjs';
import { outputOf } from './run.mjs';

/** No run takes longer than this; what was tried until then is reported. */
const MINUTES = Number(process.env.MUTANT_MINUTES ?? 20);

/** Core files that changed since a commit, or those that are named. */
function filesOf([first = 'HEAD~1', ...rest]) {
  if (first.endsWith('.ts')) return [first, ...rest];
  return outputOf('git', ['diff', '--name-only', '--diff-filter=AM', first, '--', 'core/src'])
    .split('\n')
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && !file.endsWith('/index.ts'));
}

/**
 * `npm run mutants` breaks what changed in the core in small ways and says which breaks no test notices.
 * `npm run mutants -- main~5` for all since a commit, `npm run mutants -- core/src/batch/progress.ts` for files.
 */
await main(async () => {
  await ensureDependencies();
  const files = filesOf(process.argv.slice(2));
  if (files.length === 0) return say('no file of the core changed since then');
  say(`mutants of ${files.length} files, for at most ${MINUTES} minutes`);
  const child = spawn('npx', ['--no-install', 'stryker', 'run', '--mutate', files.join(',')], {
    cwd: ROOT,
    stdio: 'inherit',
    detached: true,
  });
  const timer = setTimeout(() => process.kill(-child.pid, 'SIGINT'), MINUTES * 60_000);
  await new Promise((done) => child.on('exit', done));
  clearTimeout(timer);
});
