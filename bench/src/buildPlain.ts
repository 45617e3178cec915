// A page with nothing but the libraries to compare with, built by the same Vite and the same settings.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

const root = fileURLToPath(new URL('../..', import.meta.url))

/**
 * @param use gets the folder of the build, which is removed afterwards
 */
export async function withPlainBuild<T>(source: string, use: (folder: string) => T | Promise<T>): Promise<T> {
  // It must lie below the web site's folder, so that it finds the same libraries.
  const folder = join(root, 'web/dist/.bench')
  mkdirSync(folder, { recursive: true })
  try {
    writeFileSync(join(folder, 'main.jsx'), source)
    const page = '<!doctype html><div id="root"></div><script type="module" src="/main.jsx"></script>'
    writeFileSync(join(folder, 'index.html'), page)
    const vite = createRequire(join(root, 'web/package.json')).resolve('vite')
    const { build } = await import(pathToFileURL(vite).href)
    const settings = { target: 'es2022', outDir: 'out', modulePreload: { polyfill: false } }
    await build({ root: folder, configFile: false, logLevel: 'silent', build: settings })
    return await use(join(folder, 'out'))
  } finally {
    rmSync(folder, { recursive: true })
  }
}
