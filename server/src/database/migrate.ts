import 'reflect-metadata';
import { ownerDataSource } from './ownerDataSource.js';
import { settingsFromEnvironment } from './settings.js';

const { ownerUrl, databaseUrl } = settingsFromEnvironment();
const source = await ownerDataSource(ownerUrl, new URL(databaseUrl).username).initialize();
const made = await source.runMigrations({ transaction: 'each' });
console.log(
  made.length === 0 ? 'Database is up to date.' : `Database migrated: ${made.map((m) => m.name).join(', ')}.`,
);
await source.destroy();
