import { randomInt } from 'node:crypto';
import { build, compileServer, generateClient } from './build.mjs';
import { ensureChromium, ensureDependencies } from './packages.mjs';
import { main, say } from './project.mjs';
import { outputOf } from './run.mjs';
import {
  browserTests,
  coreTests,
  counts,
  failures,
  ROOMS,
  serverTests,
  staticChecks,
  webTests,
  withCluster,
} from './suites.mjs';

async function everything(asked) {
  await ensureChromium();
  await compileServer();
  await generateClient();
  await staticChecks();
  await coreTests(asked);
  await webTests(asked);
  await withCluster(async () => {
    await serverTests(asked);
    await build();
    await browserTests(asked);
  });
}

/**
 * What was asked for at the command: names of files, and the seed that gives the order; without one it is drawn.
 * Sweeps are made whole when `npm run sweep` asks.
 */
function askedFor(words) {
  const whole = words.includes('--whole');
  return { ...seedOf(words.filter((word) => word !== '--whole')), whole };
}

function seedOf(words) {
  const at = words.findIndex((word) => word === '--seed' || word.startsWith('--seed='));
  if (at < 0) return { only: words, seed: randomInt(1, 1_000_000) };
  const own = words[at].split('=')[1];
  const seed = Number(own ?? words[at + 1]);
  if (!Number.isInteger(seed) || seed < 1)
    throw new Error(`The seed is ${own ?? words[at + 1]}. Give a whole number above 0, as in --seed 7.`);
  return { only: words.filter((_, i) => i !== at && (own !== undefined || i !== at + 1)), seed };
}

/**
 * `npm test` runs all; `npm run test:core -- marks` only the core's tests in files named like that;
 * `npm test -- --seed 7` in the order of that seed.
 */
await main(async () => {
  const [room, ...words] = process.argv.slice(2);
  const all = room === undefined || room.startsWith('-');
  const asked = askedFor(all ? process.argv.slice(2) : words);
  await ensureDependencies();
  say(`order by seed ${asked.seed}; --seed ${asked.seed} runs in this order again`);
  await (all ? everything(asked) : ROOMS[room](asked));
  say(`on ${outputOf('node', ['--version'])}`);
  console.log(`${counts.passed} passed, ${counts.failed} failed`);
  if (counts.failed > 0) {
    for (const failure of failures) say(failure);
    say(`failed with --seed ${asked.seed}`);
    process.exit(1);
  }
});
