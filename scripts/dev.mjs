import { spawn } from 'node:child_process';
import { compileServer, generateClient } from './build.mjs';
import { loadDemo, migrate, openDatabase } from './database.mjs';
import { ensureDependencies } from './packages.mjs';
import { main, ROOT, say } from './project.mjs';

/** Server and web with hot reload: the compiler watches, node restarts, Vite replaces modules. */
await main(async () => {
  await ensureDependencies();
  await compileServer();
  await generateClient();
  const { env, stop } = await openDatabase();
  await migrate(env);
  await loadDemo(env);
  const start = (command, args) =>
    spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...env, PORT: '4600' } });
  const children = [
    start('npx', ['tsc', '-b', '--watch', '--preserveWatchOutput', 'core', 'server']),
    start('node', ['--watch', 'server/dist/main.js']),
    start('npx', ['vite', 'web', '--host', '127.0.0.1', '--port', '4610']),
  ];
  say('open http://127.0.0.1:4610');
  process.on('SIGINT', () => {
    children.forEach((child) => child.kill());
    stop();
    process.exit(0);
  });
});
