// Bundles what Jest runs: all test files in one pass of esbuild, so that a module is read and compiled once, not once in each file.
import { readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import { pathToFileURL } from 'node:url'
import { aliases } from './build.mjs'
import { doWhereChanged, filesIn } from './changes.mjs'
import { root } from './run.mjs'

/** In the server's folder, from where its own versions of packages are found. */
const outdir = join(root, 'server/node_modules/.valise/tests')

/** The workspaces that have tests for Jest. */
const testedRooms = ['core', 'server', 'web', 'stand-ins', 'demo', 'bench', 'tools']

/** Jest looks up globals in its sandbox, which is slow where pixels are counted: they become names of each module. */
const quickGlobals = [
  'Math',
  'Float32Array',
  'Float64Array',
  'Int32Array',
  'Uint8Array',
  'Uint8ClampedArray',
  'Uint32Array',
]

/** Bundles the tests where a source has changed since the last time. */
export async function bundleTests() {
  const files = testedRooms.flatMap((room) => filesIn(join(root, room, 'src')))
  const tests = files.filter((file) => /\.test\.tsx?$/.test(file))
  await doWhereChanged({ step: 'tests', files, made: outdir }, () => bundle(tests))
}

/** Where the bundle of a test file lies. */
export function bundleOf(testFile) {
  return join(outdir, relative(root, testFile).replace(/\.tsx?$/, '.mjs'))
}

async function bundle(entryPoints) {
  const esbuild = await import('esbuild')
  rmSync(outdir, { recursive: true, force: true })
  await esbuild.build({
    absWorkingDir: root,
    entryPoints,
    outdir,
    outbase: root,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    jsx: 'automatic',
    sourcemap: true,
    packages: 'external',
    alias: aliases,
    banner: { js: `const { ${quickGlobals.join(', ')} } = globalThis;` },
    plugins: [ownAddress, classNames],
    // Style sheets do nothing here, and need not be brought in.
    logOverride: { 'ignored-bare-import': 'silent' },
    logLevel: 'warning',
  })
}

/** A module's own address stays that of its source, beside which its files lie. */
const ownAddress = {
  name: 'own address',
  setup: (build) =>
    build.onLoad({ filter: /\/src\/.*\.tsx?$/ }, ({ path }) => {
      const source = readFileSync(path, 'utf8')
      if (!source.includes('import.meta.url')) return undefined
      const contents = source.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href))
      return { contents, loader: path.endsWith('x') ? 'tsx' : 'ts' }
    }),
}

/** A style sheet is an object whose every name is itself, so that components can be rendered without a build. */
const classNames = {
  name: 'class names',
  setup: (build) =>
    build.onLoad({ filter: /\.css$/ }, () => ({
      contents: 'export default new Proxy({}, { get: (_, name) => String(name) })',
      loader: 'js',
    })),
}
