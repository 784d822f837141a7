import { join } from 'node:path';
import { LIBRARY } from './web/test/componentLibrary.mjs';

/** Jest runs CommonJS: sources and ESM packages are compiled by swc on the way in. */
const swc = (decorators, tsx = false) => [
  join(import.meta.dirname, 'scripts/quickGlobals.cjs'),
  {
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', decorators, tsx },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
    },
  },
];

const project = (name, decorators) => ({
  displayName: name,
  rootDir: `./${name}`,
  testMatch: ['<rootDir>/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  transform: { '^.+\\.(ts|m?js)$': swc(decorators) },
  transformIgnorePatterns: [
    '/node_modules/(?!(@nestjs|fast-check|pure-rand|idb-keyval|file-type|strtok3|token-types|uint8array-extras|@tokenizer|@borewit|load-esm|uuid|iterare|is-any-array|ml-[a-z-]+)/)',
  ],
  moduleNameMapper: {
    '^@compas/core$': '<rootDir>/../core/src/index.ts',
    '^fast-check$': '<rootDir>/../scripts/seededProperties.cjs',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  testEnvironment: 'node',
});

/** Components of the web in a page without a browser: what a person sees and does there. */
const web = project('web', false);
const screens = {
  ...web,
  displayName: 'screens',
  testMatch: ['<rootDir>/**/*.test.tsx'],
  transform: { '^.+\\.(ts|m?js)$': swc(false), '^.+\\.tsx$': swc(false, true) },
  moduleNameMapper: {
    ...web.moduleNameMapper,
    '\\.css$': '<rootDir>/test/noStyles.ts',
    '^antd$': LIBRARY,
  },
  globalSetup: '<rootDir>/../web/test/componentLibrary.mjs',
  testEnvironment: '<rootDir>/test/pageEnvironment.mjs',
  setupFiles: ['<rootDir>/test/page.ts'],
  setupFilesAfterEnv: ['<rootDir>/test/patience.ts'],
};

const server = {
  ...project('server', true),
  testEnvironment: '<rootDir>/test/databaseEnvironment.mjs',
};

/**
 * Jest leaves one core idle unless it is told otherwise: on two that is half of them. What it remembers of earlier runs lies
 * in the clone, so that a fresh one remembers nothing, and the order comes from the seed alone.
 */
export default {
  maxWorkers: '100%',
  cacheDirectory: '<rootDir>/.cache/jest',
  testSequencer: '<rootDir>/scripts/shuffledFiles.mjs',
  randomize: true,
  testTimeout: 180_000,
  projects: [project('core', false), server, web, screens],
};
