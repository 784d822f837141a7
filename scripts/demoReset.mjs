import { build } from './build.mjs';
import { loadDemo, migrate, openDatabase } from './database.mjs';
import { ensureDependencies } from './packages.mjs';
import { main } from './project.mjs';

await main(async () => {
  await ensureDependencies();
  await build();
  const { env, stop } = await openDatabase();
  try {
    await migrate(env);
    await loadDemo(env, true);
  } finally {
    stop();
  }
});
