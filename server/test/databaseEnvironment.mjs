import { randomUUID } from 'node:crypto';
import { TestEnvironment } from 'jest-environment-node';
import { copyDatabase, dropDatabase } from '../../scripts/database.mjs';

/**
 * A database of its own for each file of tests, copied from the migrated one that COMPAS_DB_URL names: what one file stores,
 * and how often it tries a door, is never met by another.
 */
export default class DatabaseEnvironment extends TestEnvironment {
  name = `compas_test_${randomUUID().replaceAll('-', '')}`;

  async setup() {
    await super.setup();
    const { env } = this.global.process;
    this.superuserUrl = env.COMPAS_TEST_SUPERUSER_URL;
    Object.assign(env, await copyDatabase(this.superuserUrl, env, this.name));
  }

  async teardown() {
    await dropDatabase(this.superuserUrl, this.name);
    await super.teardown();
  }
}
