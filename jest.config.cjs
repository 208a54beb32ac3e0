/** One run for every room; sources are read directly, nothing has to be built first. */
const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx, decorators: true },
      transform: { legacyDecorator: true, decoratorMetadata: true, react: { runtime: 'automatic' } },
      target: 'es2022',
      keepClassNames: true,
    },
    module: { type: 'commonjs' },
  },
];
const room = (name, extra = {}) => ({
  displayName: name,
  rootDir: `${__dirname}/${name}`,
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx'],
  transform: { '^.+\\.tsx$': swc(true), '^.+\\.[mc]?[jt]s$': swc(false) },
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['@yaylak/source', 'node', 'require', 'default'] },
  ...extra,
});
module.exports = {
  // Servers and books are opened for real, two cores are shared.
  testTimeout: 60000,
  projects: [
    room('core'),
    room('contract', { setupFiles: ['reflect-metadata'] }),
    room('server', { setupFiles: ['reflect-metadata'] }),
    room('demo', { setupFiles: ['reflect-metadata'] }),
    room('web', {
      moduleNameMapper: { '\\.css$': '<rootDir>/src/testing/empty.ts' },
      setupFiles: ['<rootDir>/src/testing/setup.ts'],
      transformIgnorePatterns: ['/node_modules/(?!(@tanstack|uuid|idb-keyval|comlink|fake-indexeddb)/)'],
    }),
  ],
};
