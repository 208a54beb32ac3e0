const { writePacks } = require('./scripts/packs.cjs');

/** One run for every room; sources are read directly, nothing has to be built first. */
const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx, decorators: true },
      // Fields as the compiler makes them: one that is not set is not there.
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      target: 'es2022',
      keepClassNames: true,
    },
    module: { type: 'commonjs' },
  },
];
/** Test files of a room as they stand, or read by the pack where all of them are run (`PACKED`). */
const tests = (name, ending, packs) =>
  process.env.PACKED
    ? { roots: [writePacks(name, ending, packs)], testMatch: ['**/*.pack.ts'] }
    : { testMatch: [`<rootDir>/src/**/*${ending}`] };
const room = (name, { packs = 1, ending = '.test.ts', ...extra } = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  ...tests(name, ending, packs),
  transform: { '^.+\\.tsx$': swc(true), '^.+\\.[mc]?[jt]s$': swc(false) },
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['@yaylak/source', 'node', 'require', 'default'] },
  ...extra,
});
const web = {
  moduleNameMapper: { '\\.css$': '<rootDir>/src/tests/empty.ts' },
  transformIgnorePatterns: ['/node_modules/(?!(@tanstack|uuid|idb-keyval|comlink|fake-indexeddb)/)'],
};
module.exports = {
  // Both cores: left to itself, one of two is kept free and the files go one after another.
  maxWorkers: 2,
  cacheDirectory: `${__dirname}/.cache/jest`,
  // Servers and books are opened for real, two cores are shared.
  testTimeout: 60000,
  projects: [
    room('core', { packs: 2, setupFiles: ['<rootDir>/src/tests/seed.ts'] }),
    room('contract', { setupFiles: ['reflect-metadata'] }),
    room('server', {
      packs: 9,
      // Packages that come as modules only.
      transformIgnorePatterns: ['/node_modules/(?!(age-encryption|@noble|@scure)/)'],
      moduleNameMapper: { '^@noble/hashes/scrypt\\.js$': '<rootDir>/src/tests/scrypt.ts' },
      setupFiles: ['reflect-metadata'],
      setupFilesAfterEnv: ['<rootDir>/src/tests/pool.ts'],
    }),
    room('demo', { setupFiles: ['reflect-metadata'] }),
    room('devices', { setupFiles: ['reflect-metadata'] }),
    room('web', { ...web, packs: 2, setupFiles: ['<rootDir>/src/tests/setup.ts'] }),
    // What is drawn is tested in a page, as a person meets it: by role and label.
    room('web', {
      ...web,
      displayName: 'web pages',
      ending: '.test.tsx',
      packs: 8,
      testEnvironment: 'jsdom',
      setupFiles: ['<rootDir>/src/tests/setupPage.ts'],
      setupFilesAfterEnv: ['<rootDir>/src/tests/afterEachPage.ts'],
    }),
  ],
};
