import { DataSource } from 'typeorm';
import { Foundation1772000000001 } from './migrations/1-foundation.js';
import { Samples1780000000002 } from './migrations/2-samples.js';
import { Stock1795000000003 } from './migrations/3-stock.js';
import { Together1796000000004 } from './migrations/4-together.js';
import { Routes1796000000005 } from './migrations/5-routes.js';
import { Items1796000000006 } from './migrations/6-items.js';
import { Orders1796000000007 } from './migrations/7-orders.js';
import { DemoDoor1796000000008 } from './migrations/8-demoDoor.js';
import { Backups1796000000009 } from './migrations/9-backups.js';
import { Clocks1796000000010 } from './migrations/10-clocks.js';
import { Accounts1796000000011 } from './migrations/11-accounts.js';
import { Aside1796000000012 } from './migrations/12-aside.js';
import { Credit1796000000013 } from './migrations/13-credit.js';
import { Tries1796000000014 } from './migrations/14-tries.js';
import { Drafts1796000000015 } from './migrations/15-drafts.js';

export const MIGRATIONS = [
  Foundation1772000000001,
  Samples1780000000002,
  Stock1795000000003,
  Together1796000000004,
  Routes1796000000005,
  Items1796000000006,
  Orders1796000000007,
  DemoDoor1796000000008,
  Backups1796000000009,
  Clocks1796000000010,
  Accounts1796000000011,
  Aside1796000000012,
  Credit1796000000013,
  Tries1796000000014,
  Drafts1796000000015,
];

/**
 * Connection of the owner, for migrations only.
 * @param appRole the role that the migrations grant the application's rights to
 */
export const ownerDataSource = (url: string, appRole: string): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    migrations: MIGRATIONS,
    extra: { options: `-c compas.app_role=${appRole}` },
  });
