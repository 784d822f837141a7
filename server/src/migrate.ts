import 'reflect-metadata';
import { refill } from './batch/refill.js';
import { ownerDataSource } from './database/ownerDataSource.js';
import { settingsFromEnvironment } from './database/settings.js';

const { ownerUrl, databaseUrl } = settingsFromEnvironment();
const source = await ownerDataSource(ownerUrl, new URL(databaseUrl).username).initialize();
const made = await source.runMigrations({ transaction: 'each' });
console.log(
  made.length === 0 ? 'Database is up to date.' : `Database migrated: ${made.map((m) => m.name).join(', ')}.`,
);
const refilled = await refill(source);
if (refilled > 0) console.log(`Summed up anew: ${refilled} batches.`);
await source.destroy();
