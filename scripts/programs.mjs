import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { postgresPrograms } from './packages.mjs';

/** Where a database is, as PostgreSQL's own programs want to know it: nobody reads a password off the list of processes. */
function whereIs(url) {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url);
  const sslmode = searchParams.get('sslmode');
  return {
    PGHOST: hostname.replace(/^\[|\]$/g, ''),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    ...(sslmode ? { PGSSLMODE: sslmode } : {}),
  };
}

/** Runs one of PostgreSQL's programs on a database; what it says against it becomes the reason. */
export function onDatabase(url, program, args, stdout = 'ignore') {
  return new Promise((done, failed) => {
    const child = spawn(join(postgresPrograms(), program), args, {
      env: { ...process.env, ...whereIs(url) },
      stdio: ['ignore', stdout, 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (text) => (said += text));
    child.on('error', (error) => failed(new Error(`${program} cannot be run: ${error.message}`)));
    child.on('close', (code) =>
      code === 0
        ? done()
        : failed(new Error(`${program}: ${said.trim().split('\n')[0] || `ended with ${code}`}`)),
    );
  });
}
