// The arrows of the house: web → core ← server; domains reach each other through their index; no circles.
const rooms =
  '(people|classes|things|bin|uses|evidence|pictures|reflections|pages|collections|access|assignments|submissions|frameworks|feedback|news|formats|records|problems|time)'

const houses = ['core', 'server', 'web', 'stand-ins', 'demo', 'e2e', 'bench', 'tools']

/** Which of the houses each one may import from; itself always. */
const mayReach = {
  core: [],
  server: ['core'],
  web: ['core'],
  'stand-ins': ['core'],
  demo: ['server', 'core'],
  bench: ['server', 'core'],
  e2e: [],
  tools: ['server', 'stand-ins', 'demo', 'core'],
}

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      // A type that names its neighbour is no circle at run time; services and routes describe each other that way.
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    ...Object.entries(mayReach).map(([room, reached]) => ({
      name: `${room}-reaches-${reached.join('-and-') || 'nothing'}`,
      severity: 'error',
      from: { path: `^${room}/` },
      to: { path: `^(${houses.filter((one) => one !== room && !reached.includes(one)).join('|')})/` },
    })),
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
