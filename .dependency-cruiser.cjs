/** Which folder may import which: the house of docs/, kept by the lint. */
const places = '^web/src/places/([^/]+)/';
module.exports = {
  forbidden: [
    {
      name: 'no-circle-of-folders',
      comment: 'Two folders of a room that need each other are one, or something of both belongs a floor down.',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    {
      name: 'rooms-point-down',
      comment: 'core knows nobody, contract knows core, server and web know both, and not each other.',
      severity: 'error',
      from: { path: '^(core|contract|server|web|devices|demo)/src', pathNot: '\\.test\\.tsx?$|/src/tests/' },
      to: { path: '^(server|web|devices|demo)/src', pathNot: '^$1/' },
    },
    {
      name: 'contract-over-core',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^contract/src' },
    },
    {
      name: 'core-is-pure',
      comment: 'No framework, no file, no clock of the machine.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$|/src/tests/' },
      to: {
        dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-optional', 'npm-peer'],
        pathNot: '@internationalized/date',
      },
    },
    {
      name: 'book-knows-no-feature',
      severity: 'error',
      from: { path: '^server/src/(book|records|database|common)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^server/src/', pathNot: '^server/src/(book|records|database|common)/|^server/src/config\\.ts$' },
    },
    {
      name: 'places-stand-alone',
      comment: 'What two places share stands in web/src/shared or web/src/parts.',
      severity: 'error',
      from: { path: places },
      to: { path: '^web/src/places/', pathNot: '^web/src/places/$1/' },
    },
    {
      name: 'parts-know-no-place',
      severity: 'error',
      from: { path: '^web/src/(parts|shared|adapters|words|theme|api|outbox)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/src/(places|app)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '/dist/|\\.test\\.tsx?$|/src/tests/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.tests.json' },
    enhancedResolveOptions: { conditionNames: ['@yaylak/source', 'import', 'require', 'node', 'default'] },
  },
};
