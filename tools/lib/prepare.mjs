// Installing and building, each only when something changed since the last time.
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from './build.mjs'
import { giveUp, hear, root } from './run.mjs'

const LEAST_NODE = [20, 12]

/** Installs from the lock file where that was not done yet, or the lock has changed. */
export function install() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1])) {
    giveUp(`Valise needs Node.js ${LEAST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
  }
  const lock = digest([readFileSync(join(root, 'package-lock.json'))])
  if (isDone('installed', lock)) return
  process.stdout.write('Installing from the lock file. The first time this takes a few minutes…\n')
  const { status, output } = hear('npm', ['ci', '--no-fund', '--no-audit'])
  if (status !== 0) {
    process.stderr.write(output.slice(-4000))
    const needsCompiler = /node-gyp|better-sqlite3|prebuild/.test(output)
    giveUp(
      needsCompiler
        ? 'SQLite could not be built. Install a C++ compiler, make and Python 3 (Debian: apt-get install g++ make python3), then run this again.'
        : 'The packages could not be installed. See the lines above.',
    )
  }
  markDone('installed', lock)
}

/** Builds the web site and the programs where a source has changed. */
export async function buildWhereChanged() {
  const sources = digest(
    ['core', 'server', 'web', 'stand-ins', 'demo', 'tools'].flatMap((room) => sourcesIn(join(root, room))),
  )
  if (isDone('built', sources) && existsSync(join(root, 'server/dist/serve.js'))) return
  process.stdout.write('Building…\n')
  await build()
  markDone('built', sources)
}

function sourcesIn(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (['dist', 'node_modules'].includes(entry.name)) return []
    const path = join(folder, entry.name)
    if (entry.isDirectory()) return sourcesIn(path)
    const { mtimeMs, size } = statSync(path)
    return [`${path} ${mtimeMs} ${size}`]
  })
}

function digest(parts) {
  const hash = createHash('sha256')
  for (const part of parts) hash.update(part)
  return hash.digest('hex')
}

const markOf = (step) => join(root, 'node_modules/.valise', step)

function isDone(step, state) {
  return existsSync(markOf(step)) && readFileSync(markOf(step), 'utf8') === state
}

function markDone(step, state) {
  mkdirSync(join(root, 'node_modules/.valise'), { recursive: true })
  writeFileSync(markOf(step), state)
}
