// The rules of the architecture, each held against a breach that is planted into a copy of the folders.
import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
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
const takingType = (path: string) => `import type { It } from '${path}'\nexport type Mine = It\n`

describe('the layers of the server', () => {
  it('let each room take what lies before it, and never two rooms each other', () => {
    const rooms = readdirSync(join(root, 'server/src'), { withFileTypes: true })
      .filter((one) => one.isDirectory() && one.name !== 'testing')
      .map(({ name }) => name)
    const files: Record<string, string> = {}
    for (const room of rooms) {
      files[`server/src/${room}/index.ts`] = nothing
      for (const other of rooms.filter((one) => one !== room))
        files[`server/src/${room}/takes-${other}.ts`] = taking(`../${other}/index.ts`)
    }
    const refused = new Set(
      breachesOf(files).flatMap((line) => {
        const [, room, other] =
          /^not-in-allowed: server\/src\/(\w+)\/takes-(\w+)\.ts → server/.exec(line) ?? []
        return room ? [`${room} → ${other}`] : []
      }),
    )
    const mayTake = (room: string, other: string) => !refused.has(`${room} → ${other}`)
    const both = rooms.flatMap((room) =>
      rooms.filter((other) => room < other && mayTake(room, other) && mayTake(other, room)),
    )
    expect(both).toEqual([])
    // An order leads from the first room to the last: each but the lowest may take something.
    expect(rooms.filter((room) => !rooms.some((other) => other !== room && mayTake(room, other)))).toEqual([
      'system',
    ])
    expect(mayTake('submissions', 'pages')).toBe(true)
    expect(mayTake('pages', 'drafts')).toBe(true)
    expect(mayTake('access', 'evidence')).toBe(false)
    expect(mayTake('jobs', 'http')).toBe(false)
    expect(mayTake('people', 'classes')).toBe(false)
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
    'the design system takes a room',
    { 'web/src/ui/a19.ts': taking('../people/index.ts'), 'web/src/people/index.ts': nothing },
    'ui-takes-no-room: web/src/ui/a19.ts → web/src/people/index.ts',
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
