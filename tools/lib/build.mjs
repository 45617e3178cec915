// The production build: the web site with Vite, the programs with esbuild.
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import { root } from './run.mjs'

/** Programs by name; all lie in server/dist, so that what stays outside the bundle is found as the server's own. */
const programs = {
  main: 'server/src/main.ts',
  setUp: 'server/src/setUp.ts',
  worker: 'server/src/worker.ts',
  serve: 'tools/src/serve.ts',
  backup: 'tools/src/backup.ts',
  restore: 'tools/src/restore.ts',
}

/** Native parts, and what finds its own files at run time. Everything else goes in: one file starts faster than 400. */
const outside = [
  'better-sqlite3',
  '@node-rs/argon2',
  'knex',
  'pg',
  'pino',
  'nodemailer',
  'sharp',
  'pdfkit',
  'pdfjs-dist',
  '@napi-rs/canvas',
  'mammoth',
]

/** Workspaces are bundled from their sources; the longer name first. */
export const aliases = {
  '@valise/core': './core/src',
  '@valise/server/testing': './server/src/testing/index.ts',
  '@valise/server': './server/src/index.ts',
  '@valise/demo': './demo/src/index.ts',
  '@valise/stand-ins': './stand-ins/src/index.ts',
}

export async function build() {
  await buildWeb()
  await buildPrograms()
}

export async function buildWeb() {
  // Vite is the web's own dependency, and lies in its folder.
  const vite = createRequire(join(root, 'web/package.json')).resolve('vite')
  const { build: buildSite } = await import(pathToFileURL(vite).href)
  await buildSite({ root: join(root, 'web'), logLevel: 'warn' })
  assertNoValidator(join(root, 'web/dist/assets'))
  compressFiles(join(root, 'web/dist/assets'))
}

/** The web takes the types of core's schemas, never the schemas: a value imported from a schema's file brings them. */
function assertNoValidator(folder) {
  const holding = readdirSync(folder).filter(
    (name) => name.endsWith('.js') && /additionalProperties/.test(readFileSync(join(folder, name), 'utf8')),
  )
  if (holding.length > 0) throw new Error(`schemas got into the web site: ${holding.join(', ')}`)
}

/** Compressed once here, so that the server never does it while somebody waits. Fonts are compressed already. */
function compressFiles(folder) {
  for (const name of readdirSync(folder)) {
    if (!/\.(js|css|svg)$/.test(name)) continue
    const content = readFileSync(join(folder, name))
    writeFileSync(join(folder, `${name}.gz`), gzipSync(content, { level: 9 }))
    const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }
    writeFileSync(join(folder, `${name}.br`), brotliCompressSync(content, quality))
  }
}

export async function buildPrograms() {
  const esbuild = await import('esbuild')
  const outdir = join(root, 'server/dist')
  rmSync(outdir, { recursive: true, force: true })
  await esbuild.build({
    absWorkingDir: root,
    entryPoints: programs,
    outdir,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    external: [...outside, ...outside.map((name) => `${name}/*`)],
    // CommonJS packages inside the bundle ask for Node's own modules this way.
    banner: {
      js: "import { createRequire as nodeRequire } from 'node:module'; const require = nodeRequire(import.meta.url);",
    },
    alias: aliases,
    logLevel: 'warning',
  })
}
