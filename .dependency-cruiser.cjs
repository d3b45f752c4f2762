// The layers of ARCHITECTURE.md, checked. Inside the core a folder imports only from those before it.
const CORE = ['base', 'units', 'color', 'geometry', 'raster', 'register', 'shape', 'drawing', 'pdf', 'type', 'art', 'things', 'stock', 'piece', 'sheet', 'job', 'output', 'proof', 'run'];
const upward = CORE.map((folder, index) => ({
  name: `core-${folder}-looks-down`,
  comment: 'A core folder imports only from folders that stand before it.',
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/(${[...CORE.slice(index + 1), 'calls'].join('|')})(/|\\.ts)` },
}));
const oneDoor = (name, pack, door) => ({
  name: `one-door-${name}`,
  comment: `Only ${door} imports ${pack}.`,
  severity: 'error',
  from: { path: '^(core|app|devices|server|cli|demo)/', pathNot: `(^${door}|\\.test\\.ts$)` },
  to: { path: `node_modules/${pack}` },
});

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...upward,
    {
      name: 'past-the-index',
      comment: 'A core domain is entered by its index.ts.',
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/[^/]+/.+', pathNot: ['^core/$1/', '/index\\.ts$'] },
    },
    {
      name: 'past-the-index-from-outside',
      severity: 'error',
      from: { path: '^(app|devices|server|cli|demo|bench|e2e)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/[^/]+/.+', pathNot: ['/index\\.ts$', '^core/testing/'] },
    },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/', pathNot: '\\.test\\.ts$' }, to: { path: '^(app|devices|server|cli|demo|e2e|bench)/' } },
    { name: 'devices-use-core', severity: 'error', from: { path: '^devices/' }, to: { path: '^(app|server|cli|demo|e2e|bench)/' } },
    { name: 'app-uses-core-and-simulated', severity: 'error', from: { path: '^app/' }, to: { path: '^(server|cli|demo|e2e|bench|devices/wire)/' } },
    { name: 'demo-uses-core', severity: 'error', from: { path: '^demo/' }, to: { path: '^(app|server|cli|devices|e2e|bench)/' } },
    { name: 'nothing-imports-the-ends', severity: 'error', from: { path: '^(core|devices|demo|cli|server)/' }, to: { path: '^app/' } },
    oneDoor('clipper', 'clipper2-ts', 'core/geometry/regions'),
    oneDoor('harfbuzz', 'harfbuzzjs', 'core/type/shaper'),
    oneDoor('pdf-writer', '@cantoo', 'core/output/pdf/'),
    oneDoor('pdfium', '@hyzyla', 'core/pdf/'),
    oneDoor('localforage', 'localforage', 'app/storage/'),
    oneDoor('saxes', 'saxes', 'core/art/'),
    oneDoor('svgpath', 'svgpath', 'core/geometry/'),
    oneDoor('hashes', '@noble', 'core/base/'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|\\.cache)/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'], extensions: ['.ts', '.js', '.mjs', '.vue', '.d.ts'] },
  },
};
