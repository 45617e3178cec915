// Whatever a screen shows, it shows in words that were fetched with it: a word that is missing would stand there as its key.
import { existsSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'

const source = new URL('..', import.meta.url).pathname
const routesFile = join(source, 'app/routes.tsx')

const matches = (text: string, pattern: RegExp) => [...text.matchAll(pattern)].map(([, found = '']) => found)

/** The words that come with the first script. */
const always = matches(readFileSync(join(source, 'words/en/index.ts'), 'utf8'), /from '\.\/(\w+)\.json'/g)

interface Module {
  readonly imports: readonly string[]
  readonly lazyImports: readonly string[]
  /** What it has fetched before it imports something lazily. */
  readonly needs: readonly string[]
  readonly speaks: readonly string[]
}

const modules = new Map<string, Module>()

function moduleOf(file: string): Module {
  const known = modules.get(file)
  if (known) return known
  const text = readFileSync(file, 'utf8')
  const inside = (paths: readonly string[]) =>
    paths.map((path) => join(dirname(file), path)).filter((path) => /\.tsx?$/.test(path) && existsSync(path))
  const made: Module = {
    imports: inside(matches(text, /^(?:import|export) (?!type )[^;'"]*?from '(\.[^']+)'/gm)),
    lazyImports: inside(matches(text, /\bimport\('(\.[^']+)'\)/g)),
    needs: matches(text, /needWords\('(\w+)'\)/g),
    speaks: matches(text, /useTranslation\(([^)]*)\)/g).flatMap((list) => matches(list, /'(\w+)'/g)),
  }
  modules.set(file, made)
  return made
}

/** What is spoken from a module on, and was not fetched by then: as `file: words`. */
function findUnspoken(file: string, loaded: ReadonlySet<string>, seen = new Set<string>()): string[] {
  const visit = `${file} ${[...loaded].sort().join()}`
  if (file === routesFile || seen.has(visit)) return []
  seen.add(visit)
  const { imports, lazyImports, needs, speaks } = moduleOf(file)
  const later = new Set([...loaded, ...needs])
  return [
    ...speaks.filter((words) => !loaded.has(words)).map((words) => `${relative(source, file)}: ${words}`),
    ...imports.flatMap((next) => findUnspoken(next, loaded, seen)),
    ...lazyImports.flatMap((next) => findUnspoken(next, later, seen)),
  ]
}

/** The screens of the router, each with the words that are fetched for it. */
const screens = readFileSync(routesFile, 'utf8')
  .split(/\binWords\(/)
  .slice(1, -1)
  .map((block) => ({
    words: [...matches(block, /^\s*'(\w+)'/g), ...matches(block, /needWords\('(\w+)'\)/g), 'problems'],
    file: join(dirname(routesFile), matches(block, /import\('([^']+)'\)/g)[0] ?? ''),
  }))

it('finds the screens of the router', () => {
  expect(screens.length).toBeGreaterThan(20)
  expect(screens.filter(({ file }) => !existsSync(file))).toEqual([])
})

it.each(screens.map(({ file, words }) => [relative(source, file), words]))(
  '%s has its words',
  (file, words) => {
    expect(findUnspoken(join(source, file), new Set([...always, ...words]))).toEqual([])
  },
)

it('the frame around every screen has its words', () => {
  expect(findUnspoken(join(source, 'main.tsx'), new Set(always))).toEqual([])
})
