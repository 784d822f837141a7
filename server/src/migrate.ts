import 'reflect-metadata';
import { refill } from './batch/refill.js';
import { ownerDataSource } from './database/ownerDataSource.js';
import { prepare } from './database/prepare.js';
import { settingsFromEnvironment } from './database/settings.js';

const { ownerUrl, databaseUrl } = settingsFromEnvironment();
const appRole = new URL(databaseUrl).username;
const source = await ownerDataSource(ownerUrl, appRole).initialize();
try {
  const made = await prepare(source, appRole, process.env['COMPAS_RESTORING'] === 'yes');
  console.log(made.length === 0 ? 'Database is up to date.' : `Database migrated: ${made.join(', ')}.`);
  const refilled = await refill(source);
  if (refilled > 0) console.log(`Summed up anew: ${refilled} batches.`);
} catch (error) {
  console.error(`compas: ${error instanceof Error ? error.message : String(error)}`);
  process.exitCode = 1;
} finally {
  await source.destroy();
}
