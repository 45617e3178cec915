// Whatever a screen shows, it shows in words that were fetched with it: a word that is missing would stand there as its key.
import { existsSync, readFileSync } from 'node:fs'
import { basename, dirname, join, relative } from 'node:path'

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

const isModule = (path: string) => /\.tsx?$/.test(path) && existsSync(path)

/** What a statement takes from a file: the file, or where a room's index has each of the names from. */
function sourcesOf(file: string, names: string): string[] {
  if (basename(file) !== 'index.ts') return [file]
  const text = readFileSync(file, 'utf8')
  return matches(names, /(\w+)(?: as \w+)?/g).flatMap((name) =>
    matches(text, new RegExp(`^export \\{[^}]*\\b${name}\\b[^}]*\\} from '(\\.[^']+)'`, 'gm')).flatMap(
      (path) => {
        const from = join(dirname(file), path)
        return basename(from) === 'loaders.ts' ? fetchedBy(from, name) : from
      },
    ),
  )
}

/** The file that a loader fetches: whoever calls it has its words fetched before. */
function fetchedBy(loaders: string, name: string): string[] {
  const [path] = matches(readFileSync(loaders, 'utf8'), new RegExp(`${name} =[^']*import\\('([^']+)'`, 'g'))
  return path === undefined ? [] : [join(dirname(loaders), path)]
}

const isLoader = (name: string) => /^load[A-Z]/.test(name)

function moduleOf(file: string): Module {
  const known = modules.get(file)
  if (known) return known
  const text = readFileSync(file, 'utf8')
  const taken = [...text.matchAll(/^(?:import|export) (?!type )([^;'"]*?)from '(\.[^']+)'/gm)].flatMap(
    ([, names = '', path = '']) =>
      names
        .split(',')
        .map((name) => ({ name: name.trim().replace(/^\{ ?/, ''), from: join(dirname(file), path) })),
  )
  const from = (list: typeof taken) => list.flatMap((one) => sourcesOf(one.from, one.name)).filter(isModule)
  const lazily = matches(text, /\bimport\('(\.[^']+)'\)/g).map((path) => join(dirname(file), path))
  const made: Module = {
    imports: from(taken.filter(({ name }) => !isLoader(name))),
    lazyImports: [...lazily.filter(isModule), ...from(taken.filter(({ name }) => isLoader(name)))],
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

const routes = readFileSync(routesFile, 'utf8')

/** The file of a screen: by the path that the router fetches, or by the loader that it calls. */
function screenIn(block: string): string {
  const [path] = matches(block, /import\('([^']+)'\)/g)
  if (path !== undefined) return join(dirname(routesFile), path)
  const [loader = ''] = matches(block, /\b(load[A-Z]\w+)/g)
  const [index = ''] = matches(
    routes,
    new RegExp(`^import \\{[^}]*\\b${loader}\\b[^}]*\\} from '([^']+)'`, 'gm'),
  )
  return sourcesOf(join(dirname(routesFile), index), loader)[0] ?? ''
}

/** The screens of the router, each with the words that are fetched for it. */
const screens = routes
  .split(/\binWords\(/)
  .slice(1, -1)
  .map((block) => ({
    words: [...matches(block, /^\s*'(\w+)'/g), ...matches(block, /needWords\('(\w+)'\)/g), 'problems'],
    file: screenIn(block),
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
