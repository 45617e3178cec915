// The rules of the architecture, each held against a breach that is planted into a copy of the folders.
import { execFileSync } from 'node:child_process'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../../', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'valise-architecture-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

interface Violation {
  readonly from: string
  readonly to: string
  readonly rule: { readonly name: string }
}

/** Writes files and returns which rules they break: `rule: from → to`. */
function breachesOf(files: Readonly<Record<string, string>>): string[] {
  rmSync(folder, { recursive: true, force: true })
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(dirname(join(folder, path)), { recursive: true })
    writeFileSync(join(folder, path), text)
  }
  for (const file of ['.dependency-cruiser.cjs', 'tsconfig.jest.json', 'tsconfig.base.json'])
    cpSync(join(root, file), join(folder, file))
  const cruiser = join(root, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs')
  const houses = [...new Set(Object.keys(files).map((path) => path.split('/')[0] ?? ''))]
  const said = execFileSync(
    process.execPath,
    [cruiser, '--config', '.dependency-cruiser.cjs', '--output-type', 'json', ...houses],
    { cwd: folder, encoding: 'utf8', maxBuffer: 100_000_000 },
  )
  const { violations } = (JSON.parse(said) as { summary: { violations: Violation[] } }).summary
  return violations.map(({ from, to, rule }) => `${rule.name}: ${from} → ${to}`)
}

const nothing = 'export {}\n'
const taking = (path: string) => `import '${path}'\n`
const fetching = (path: string) => `export const load = () => import('${path}')\n`
const takingType = (path: string) => `import type { It } from '${path}'\nexport type Mine = It\n`

const foldersIn = (path: string) =>
  readdirSync(join(root, path), { withFileTypes: true })
    .filter((one) => one.isDirectory())
    .map(({ name }) => name)

/** Returns whether one room may take another, from what the rules say when each takes each. */
function arrowsBetween(source: string, rooms: readonly string[]) {
  const files: Record<string, string> = {}
  const pairs = rooms.flatMap((room) =>
    rooms.filter((other) => other !== room).map((other) => [room, other] as const),
  )
  for (const room of rooms) files[`${source}/${room}/index.ts`] = nothing
  const takes = new Map<string, string>(
    pairs.map(([room, other], n) => {
      const path = relative(room, other)
      const file = `${source}/${room}/takes${n}.ts`
      files[file] = taking(`${path}/index.ts`)
      return [`not-in-allowed: ${file} → ${source}/${other}/index.ts`, `${room} → ${other}`] as const
    }),
  )
  const refused = new Set(breachesOf(files).flatMap((line) => takes.get(line) ?? []))
  return (room: string, other: string) => !refused.has(`${room} → ${other}`)
}

type MayTake = ReturnType<typeof arrowsBetween>

const bothWays = (rooms: readonly string[], mayTake: MayTake) =>
  rooms.flatMap((room) =>
    rooms.filter((other) => room < other && mayTake(room, other) && mayTake(other, room)),
  )

/** Those that take nothing: an order leads from the first room to the last, so that only the lowest does not. */
const lowest = (rooms: readonly string[], mayTake: MayTake) =>
  rooms.filter((room) => !rooms.some((other) => other !== room && mayTake(room, other)))

describe('the layers of the server', () => {
  it('let each room take what lies before it, and never two rooms each other', () => {
    const rooms = foldersIn('server/src').filter((name) => name !== 'testing')
    const mayTake = arrowsBetween('server/src', rooms)
    expect(bothWays(rooms, mayTake)).toEqual([])
    expect(lowest(rooms, mayTake)).toEqual(['system'])
    expect(mayTake('submissions', 'pages')).toBe(true)
    expect(mayTake('pages', 'drafts')).toBe(true)
    expect(mayTake('access', 'evidence')).toBe(false)
    expect(mayTake('jobs', 'http')).toBe(false)
    expect(mayTake('people', 'classes')).toBe(false)
  })
})

describe('the layers of the web', () => {
  const libraries = ['ui', 'words', 'testing']
  const rooms = foldersIn('web/src')
    .filter((name) => !libraries.includes(name))
    .flatMap((name) => {
      const isRoom = existsSync(join(root, 'web/src', name, 'index.ts'))
      return isRoom || name === 'app'
        ? [name]
        : foldersIn(`web/src/${name}`).map((within) => `${name}/${within}`)
    })

  it('let each room take what lies before it through its index, and never two rooms each other', () => {
    const mayTake = arrowsBetween('web/src', rooms)
    expect(bothWays(rooms, mayTake)).toEqual([])
    expect(lowest(rooms, mayTake)).toEqual(['api'])
    expect(mayTake('pages', 'evidence/list')).toBe(true)
    expect(mayTake('evidence/list', 'gather')).toBe(true)
    expect(mayTake('gather', 'evidence/list')).toBe(false)
    expect(mayTake('access', 'collections')).toBe(false)
    expect(mayTake('today', 'app')).toBe(false)
  })

  it('know every room by its index', () => {
    const without = rooms.filter((room) => !existsSync(join(root, 'web/src', room, 'index.ts')))
    expect(without).toEqual(['app'])
  })
})

/** What is planted, with the breach that must be told. */
const planted: readonly [what: string, files: Record<string, string>, breach: string][] = [
  [
    'a room takes the type of all services',
    { 'server/src/pages/a1.ts': takingType('../services.ts'), 'server/src/services.ts': nothing },
    'not-in-allowed: server/src/pages/a1.ts → server/src/services.ts',
  ],
  [
    'a room takes only a type of a later room',
    { 'server/src/http/a2.ts': takingType('../people/index.ts'), 'server/src/people/index.ts': nothing },
    'not-in-allowed: server/src/http/a2.ts → server/src/people/index.ts',
  ],
  [
    'a room takes a file behind the index of an earlier one',
    { 'server/src/pages/a3.ts': taking('../drafts/store.ts'), 'server/src/drafts/store.ts': nothing },
    'not-in-allowed: server/src/pages/a3.ts → server/src/drafts/store.ts',
  ],
  [
    'a room that stands in no layer takes another',
    { 'server/src/weather/a4.ts': taking('../people/index.ts'), 'server/src/people/index.ts': nothing },
    'not-in-allowed: server/src/weather/a4.ts → server/src/people/index.ts',
  ],
  [
    'the product takes what belongs to tests',
    { 'server/src/pages/a5.ts': taking('../testing/index.ts'), 'server/src/testing/index.ts': nothing },
    'not-in-allowed: server/src/pages/a5.ts → server/src/testing/index.ts',
  ],
  [
    'the composition takes a file behind an index',
    { 'server/src/app.ts': taking('./pages/store.ts'), 'server/src/pages/store.ts': nothing },
    'not-in-allowed: server/src/app.ts → server/src/pages/store.ts',
  ],
  [
    'a test looks behind the index of another room',
    { 'server/src/pages/a9.test.ts': taking('../drafts/store.ts'), 'server/src/drafts/store.ts': nothing },
    'not-in-allowed: server/src/pages/a9.test.ts → server/src/drafts/store.ts',
  ],
  [
    'two files of the server know each other by their types',
    { 'server/src/pages/a10.ts': takingType('./b10.ts'), 'server/src/pages/b10.ts': takingType('./a10.ts') },
    'no-circles-on-the-server: server/src/pages/a10.ts → server/src/pages/b10.ts',
  ],
  [
    'two files of the core take each other',
    { 'core/src/pages/a11.ts': taking('./b11.ts'), 'core/src/pages/b11.ts': taking('./a11.ts') },
    'no-circles: core/src/pages/a11.ts → core/src/pages/b11.ts',
  ],
  [
    'a room of the core takes a file behind the index of another',
    { 'core/src/pages/a12.ts': taking('../people/names.ts'), 'core/src/people/names.ts': nothing },
    'domains-through-their-index: core/src/pages/a12.ts → core/src/people/names.ts',
  ],
  [
    'the core takes the server',
    { 'core/src/pages/a13.ts': taking('../../../server/src/main.ts'), 'server/src/main.ts': nothing },
    'core-reaches-nothing: core/src/pages/a13.ts → server/src/main.ts',
  ],
  [
    'the web takes the server',
    { 'web/src/pages/a14.ts': taking('../../../server/src/main.ts'), 'server/src/main.ts': nothing },
    'web-reaches-core: web/src/pages/a14.ts → server/src/main.ts',
  ],
  [
    'the server takes a stand-in',
    { 'server/src/start.ts': taking('../../stand-ins/src/a15.ts'), 'stand-ins/src/a15.ts': nothing },
    'server-reaches-core: server/src/start.ts → stand-ins/src/a15.ts',
  ],
  [
    'a room of the web takes a later one',
    { 'web/src/session/a20.ts': taking('../people/index.ts'), 'web/src/people/index.ts': nothing },
    'not-in-allowed: web/src/session/a20.ts → web/src/people/index.ts',
  ],
  [
    'a room of the web takes only a type of one beside it',
    { 'web/src/notes/a21.ts': takingType('../bin/index.ts'), 'web/src/bin/index.ts': nothing },
    'not-in-allowed: web/src/notes/a21.ts → web/src/bin/index.ts',
  ],
  [
    'a room of the web takes a file behind the index of an earlier one',
    { 'web/src/pages/a22.ts': taking('../access/queries.ts'), 'web/src/access/queries.ts': nothing },
    'not-in-allowed: web/src/pages/a22.ts → web/src/access/queries.ts',
  ],
  [
    'a room of the web fetches a file behind an index when it is needed',
    { 'web/src/pages/a23.ts': fetching('../access/Reader.tsx'), 'web/src/access/Reader.tsx': nothing },
    'not-in-allowed: web/src/pages/a23.ts → web/src/access/Reader.tsx',
  ],
  [
    'a room within a room of the web takes a later one',
    {
      'web/src/evidence/base/a24.ts': taking('../list/index.ts'),
      'web/src/evidence/list/index.ts': nothing,
    },
    'not-in-allowed: web/src/evidence/base/a24.ts → web/src/evidence/list/index.ts',
  ],
  [
    'the shell takes a file behind an index',
    { 'web/src/app/a25.ts': taking('../news/NewsList.tsx'), 'web/src/news/NewsList.tsx': nothing },
    'not-in-allowed: web/src/app/a25.ts → web/src/news/NewsList.tsx',
  ],
  [
    'a room takes the shell',
    { 'web/src/today/a26.ts': taking('../app/places.ts'), 'web/src/app/places.ts': nothing },
    'not-in-allowed: web/src/today/a26.ts → web/src/app/places.ts',
  ],
  [
    'a test of the web looks behind the index of another room',
    { 'web/src/pages/a27.test.tsx': taking('../access/store.ts'), 'web/src/access/store.ts': nothing },
    'not-in-allowed: web/src/pages/a27.test.tsx → web/src/access/store.ts',
  ],
  [
    'the design system takes a room',
    { 'web/src/ui/a19.ts': taking('../people/index.ts'), 'web/src/people/index.ts': nothing },
    'not-in-allowed: web/src/ui/a19.ts → web/src/people/index.ts',
  ],
  [
    'the web takes a validator',
    {
      'web/src/pages/a16.ts': taking('ajv'),
      'web/node_modules/ajv/package.json': '{"name":"ajv","main":"index.js"}',
      'web/node_modules/ajv/index.js': '',
      'web/package.json': '{"dependencies":{"ajv":"1"}}',
    },
    'web-takes-no-validator: web/src/pages/a16.ts → web/node_modules/ajv/index.js',
  ],
  [
    'nobody takes a file',
    { 'core/src/pages/a17.ts': 'export const it = 1\n' },
    'no-orphans: core/src/pages/a17.ts → core/src/pages/a17.ts',
  ],
  [
    'a file takes what is not there',
    { 'core/src/pages/a18.ts': taking('./not-there.ts') },
    'resolvable: core/src/pages/a18.ts → ./not-there.ts',
  ],
]

/** What looks like a breach and is none. */
const allowed: Readonly<Record<string, string>> = {
  'server/src/worker.ts': taking('./pages/tasks.ts'),
  'server/src/pages/tasks.ts': nothing,
  'server/src/pages/seen.test.ts': taking('../testing/index.ts'),
  'server/src/pages/own.test.ts': taking('./store.ts'),
  'server/src/testing/site.ts': taking('../pages/store.ts'),
}

describe('a breach is told when', () => {
  let told: readonly string[] = []
  beforeAll(() => {
    told = breachesOf(Object.assign({ ...allowed }, ...planted.map(([, files]) => files)))
  })

  it.each(planted)('%s', (_, __, breach) => {
    expect(told).toContain(breach)
  })

  it('and nothing else is told', () => {
    const known = new Set(planted.map(([, , breach]) => breach))
    // A circle is told from each of its ends.
    const turned = (line: string) => line.replace(/: (\S+) → (\S+)$/, ': $2 → $1')
    const others = told.filter((line) => !known.has(line) && !known.has(turned(line)))
    expect(others.filter((line) => !line.startsWith('no-orphans'))).toEqual([])
  })
})
