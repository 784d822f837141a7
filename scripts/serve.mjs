import { fork } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './project.mjs';

/** Runs the built server with web and API until it is stopped; resolves once it listens. The owner of its tables is not known to it. */
export function serve({ COMPAS_DB_OWNER_URL: _, DATABASE_URL: _owner, ...env }, { quiet = false } = {}) {
  const child = fork(join(ROOT, 'server/dist/main.js'), {
    cwd: ROOT,
    env: { COMPAS_WEB: join(ROOT, 'web/dist'), NODE_ENV: 'production', ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit', 'ipc'],
  });
  // one that was killed did not end well, whatever code it left
  const ended = new Promise((done) => child.on('exit', (code, signal) => done(signal === null ? code : 128)));
  const listening = new Promise((done, failed) => {
    child.on('message', (message) => message === 'listening' && done());
    ended.then((code) =>
      failed(new Error(`The server ended with ${code} before it could listen. Is the port in use?`)),
    );
  });
  return { child, listening, ended, stop: () => child.kill('SIGTERM') };
}
