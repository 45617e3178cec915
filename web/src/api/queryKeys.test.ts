// A room knows no other room's query keys: it hears of changes by what it follows (`changes.ts`).
import { expect, it } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'

const source = new URL('..', import.meta.url).pathname

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory() ? filesIn(join(folder, one.name)) : join(folder, one.name),
  )
}

const roomOf = (path: string) => /^((?:evidence|pictures)\/)?[^/]+/.exec(path)?.[0] ?? ''
const files = filesIn(source)
  .map((file) => relative(source, file))
  .filter((path) => /\.tsx?$/.test(path) && !path.includes('.test.') && !path.startsWith('testing/'))
  .map((path) => ({ path, room: roomOf(path), text: readFileSync(join(source, path), 'utf8') }))

/** What is taken from other rooms to fetch by. */
const takenQueries = (text: string) =>
  [...text.matchAll(/import \{([^}]*)\} from '[^']*\/index\.ts'/g)].flatMap(([, names = '']) =>
    [...names.matchAll(/\b\w+Queries\b/g)].map(([name]) => name),
  )

it('no room takes the key of another room’s query', () => {
  const taken = files.flatMap(({ path, text }) =>
    takenQueries(text)
      .filter((name) => new RegExp(`\\b${name}\\.(all\\(\\)(?!\\))|\\w+\\([^()]*\\)\\.queryKey)`).test(text))
      .map((name) => `${path}: ${name}`),
  )
  expect(taken).toEqual([])
})

it('no key begins in two rooms with the same word', () => {
  const rooms = new Map<string, Set<string>>()
  for (const { room, text } of files)
    for (const [, word = ''] of text.matchAll(/(?:queryKey: |queryKey = |all: \(\) => |Key = )\['([\w-]+)'/g))
      rooms.set(word, (rooms.get(word) ?? new Set()).add(room))
  expect(rooms.size).toBeGreaterThan(20)
  expect(
    [...rooms].flatMap(([word, all]) => (all.size > 1 ? [`${word}: ${[...all].join(', ')}`] : [])),
  ).toEqual([])
})
