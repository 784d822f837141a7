import { build, compileServer, generateClient } from './build.mjs';
import { ensureChromium, ensureDependencies } from './packages.mjs';
import { main, say } from './project.mjs';
import { outputOf } from './run.mjs';
import {
  browserTests,
  coreTests,
  counts,
  ROOMS,
  serverTests,
  staticChecks,
  webTests,
  withCluster,
} from './suites.mjs';

async function everything() {
  await ensureChromium();
  await compileServer();
  await generateClient();
  await staticChecks();
  await coreTests();
  await webTests();
  await withCluster(async () => {
    await serverTests();
    await build();
    await browserTests();
  });
}

/** `npm test` runs all; `npm run test:core -- marks` only the core's tests in files named like that. */
await main(async () => {
  const [room, ...only] = process.argv.slice(2);
  await ensureDependencies();
  await (room ? ROOMS[room](only) : everything());
  say(`on ${outputOf('node', ['--version'])}`);
  console.log(`${counts.passed} passed, ${counts.failed} failed`);
  if (counts.failed > 0) process.exit(1);
});
