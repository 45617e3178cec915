// The arrows of the house: web → core ← server; domains reach each other through their index; no circles.
const rooms =
  '(people|classes|evidence|pictures|reflections|pages|collections|access|assignments|submissions|frameworks|feedback|formats|records|problems|time)'

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      // A type that names its neighbour is no circle at run time; services and routes describe each other that way.
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(server|web|stand-ins|demo|e2e|bench|tools)/' },
    },
    {
      name: 'server-knows-core-only',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|stand-ins|demo|e2e|bench|tools)/' },
    },
    {
      name: 'web-knows-core-only',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|stand-ins|demo|e2e|bench|tools)/' },
    },
    {
      name: 'stand-ins-know-core-only',
      severity: 'error',
      from: { path: '^stand-ins/' },
      to: { path: '^(server|web|demo|e2e|bench|tools)/' },
    },
    {
      name: 'demo-knows-server-and-core',
      severity: 'error',
      from: { path: '^demo/' },
      to: { path: '^(web|stand-ins|e2e|bench|tools)/' },
    },
    {
      name: 'e2e-knows-the-running-site',
      severity: 'error',
      from: { path: '^e2e/' },
      to: { path: '^(core|server|web|stand-ins|demo|bench|tools)/' },
    },
    { name: 'nothing-imports-web', severity: 'error', from: { pathNot: '^web/' }, to: { path: '^web/src' } },
    {
      name: 'domains-through-their-index',
      severity: 'error',
      from: { path: `^(core|server)/src/${rooms}/` },
      to: { path: `^(core|server)/src/${rooms}/`, pathNot: ['/index\\.ts$', '^$1/src/$2/'] },
    },
    {
      name: 'web-takes-no-validator',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: 'node_modules/(ajv|typebox)' },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [
          '\\.d\\.ts$',
          '\\.test\\.tsx?$',
          '(^|/)[^/]*\\.config\\.(ts|js|mjs)$',
          '^tools/',
          '\\.spec\\.ts$',
          'testing/.*\\.mjs$',
          '/dist/',
          'web/public/',
        ],
      },
      to: {},
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['/dist/', 'test-results'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.jest.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs'],
    },
  },
}
