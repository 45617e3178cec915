// The arrows of the house: web → core ← server; rooms reach each other through their index; no circles.
//
// The rooms of the server and those of the web lie in layers: a room may take what lies in the layers before its own, and
// nothing beside or after it. A new room has no arrows at all until it stands here.
const serverLayers = [
  ['system'],
  ['database', 'log', 'validation'],
  ['files', 'jobs', 'mail', 'search', 'outside'],
  ['http'],
  ['records', 'news', 'things'],
  ['uses'],
  ['people'],
  ['classes', 'feedback'],
  ['access', 'offers'],
  ['evidence', 'assignments', 'sheets', 'attributes', 'ratings'],
  ['drafts', 'gathering'],
  ['collages', 'collections', 'reflections', 'statements'],
  ['pages'],
  ['submissions'],
  ['guides'],
  ['bin', 'today'],
]
const serverRooms = serverLayers.flat()

/** What programs that start by themselves take from within a room, so that they load no more than they run. */
const programs = '^server/src/(worker|workerTasks)\\.ts$'

const indexOf = (rooms) => `^server/src/(${rooms.join('|')})/index\\.ts$`

const serverArrows = [
  ...serverLayers.flatMap((layer, n) =>
    layer.map((room) => {
      const before = serverLayers.slice(0, n).flat()
      return {
        from: { path: `^server/src/${room}/`, pathNot: '\\.test\\.ts$' },
        to: { path: [`^server/src/${room}/`, ...(before.length > 0 ? [indexOf(before)] : [])] },
      }
    }),
  ),
  // The files beside the rooms compose them: settings, services, routes, start.
  {
    from: { path: '^server/src/[^/]+\\.ts$' },
    to: { path: ['^server/src/[^/]+\\.ts$', indexOf(serverRooms)] },
  },
  { from: { path: programs }, to: { path: `^server/src/(${serverRooms.join('|')})/` } },
  // Tests drive the whole server, and look into the room that they test.
  {
    from: { path: '^server/src/([^/]+)/.*\\.test\\.ts$' },
    to: {
      path: ['^server/src/$1/', '^server/src/[^/]+\\.ts$', '^server/src/testing/', indexOf(serverRooms)],
    },
  },
  { from: { path: '^server/src/(testing/|[^/]+\\.test\\.ts$)' }, to: { path: '^server/src/' } },
  { from: { path: '^server/' }, to: { pathNot: '^server/src/' } },
]

const webLayers = [
  ['api'],
  ['session'],
  ['saving', 'things', 'news', 'feedback', 'records'],
  ['text', 'media', 'classes', 'evidence/base', 'pictures/desk'],
  ['notes', 'evidence/tray', 'evidence/upload', 'people', 'bin'],
  ['access', 'gather', 'evidence/voices', 'offers'],
  ['evidence/preview', 'attributes'],
  ['sheets'],
  ['statements'],
  ['evidence/item'],
  ['evidence/list'],
  ['collections', 'reflections', 'ratings', 'pictures/bench'],
  ['collages', 'pages'],
  ['submissions'],
  ['assignments', 'guides'],
  ['today'],
]
const webRooms = webLayers.flat()

/** Every file of these is for everybody: they are libraries, and an index of a hundred names would hide nothing. */
const webLibraries = '^web/src/(ui|words)/'

const webIndexOf = (rooms) => `^web/src/(${rooms.join('|')})/index\\.ts$`

const webArrows = [
  ...webLayers.flatMap((layer, n) =>
    layer.map((room) => {
      const before = webLayers.slice(0, n).flat()
      return {
        from: { path: `^web/src/${room}/`, pathNot: '\\.test\\.tsx?$' },
        to: {
          path: [`^web/src/${room}/`, webLibraries, ...(before.length > 0 ? [webIndexOf(before)] : [])],
        },
      }
    }),
  ),
  // What the server answered, and why it refused, is said in the same way everywhere.
  {
    from: { path: '^web/src/ui/', pathNot: '\\.test\\.tsx?$' },
    to: { path: ['^web/src/ui/', webIndexOf(['api'])] },
  },
  { from: { path: '^web/src/words/', pathNot: '\\.test\\.tsx?$' }, to: { path: '^web/src/words/' } },
  // The shell composes the rooms.
  {
    from: { path: '^web/src/(app/|main\\.tsx$)' },
    to: { path: ['^web/src/app/', webLibraries, webIndexOf(webRooms)] },
  },
  // Tests look into the room that they test.
  {
    from: { path: '^web/src/((?:evidence/|pictures/)?[^/]+)/.*\\.test\\.tsx?$' },
    to: { path: ['^web/src/$1/', webLibraries, '^web/src/testing/', webIndexOf(webRooms)] },
  },
  { from: { path: '^web/src/testing/' }, to: { path: '^web/src/' } },
  { from: { path: '^web/(?!src/)' }, to: {} },
  { from: { path: '^web/' }, to: { pathNot: '^web/src/' } },
]

// What the other houses may do, the rules below forbid by name.
const otherArrows = [{ from: { pathNot: '^(server|web)/' }, to: {} }]

const rooms =
  '(schemas|people|classes|things|guides|bin|uses|evidence|pictures|reflections|offers|attributes|ratings|sheets|statements|pages|collections|access|assignments|submissions|today|frameworks|feedback|news|formats|records|problems|time)'

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
  allowed: [...serverArrows, ...webArrows, ...otherArrows],
  allowedSeverity: 'error',
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      // A type that names its neighbour is no circle at run time: within a room, one may be described by the other.
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'no-circles-on-the-server',
      severity: 'error',
      from: { path: '^server/' },
      to: { circular: true },
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
      from: { path: `^core/src/${rooms}/` },
      to: { path: `^core/src/${rooms}/`, pathNot: ['/index\\.ts$', '^core/src/$1/'] },
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
