/** Jest runs CommonJS: sources and ESM packages are compiled by swc on the way in. */
const swc = (decorators) => [
  '@swc/jest',
  {
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', decorators },
      transform: { legacyDecorator: true, decoratorMetadata: true, useDefineForClassFields: false },
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
    '/node_modules/(?!(@nestjs|fast-check|pure-rand|idb-keyval|file-type|strtok3|token-types|uint8array-extras|@tokenizer|@borewit|load-esm|uuid|iterare)/)',
  ],
  moduleNameMapper: {
    '^@compas/core$': '<rootDir>/../core/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
  testEnvironment: 'node',
});

export default { projects: [project('core', false), project('server', true), project('web', false)] };
