// Installing and building, each only when something changed since the last time.
import { spawn } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildPrograms, buildWeb } from './build.mjs'
import { digest, doWhereChanged, filesIn, isDone, markDone } from './changes.mjs'
import { giveUp, hear, root } from './run.mjs'

const LEAST_NODE = [20, 15]

/** The moment at which every test and every journey begins: a Thursday morning. */
const TEST_START = '2026-11-26T10:42:00.000Z'

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

/** Builds the web site and the programs, each where a source of its own has changed. */
export async function buildWhereChanged() {
  await buildProgramsWhereChanged()
  const files = ['core', 'web'].flatMap((room) => filesIn(join(root, room)))
  await doWhereChanged({ step: 'site', files, made: join(root, 'web/dist/index.html') }, async () => {
    process.stdout.write('Building the web site…\n')
    await buildWeb()
  })
}

/** The programs alone, which the tests of the commands run. */
async function buildProgramsWhereChanged() {
  const rooms = ['core', 'server', 'stand-ins', 'demo', 'tools']
  const files = rooms.flatMap((room) => filesIn(join(root, room)))
  const made = join(root, 'server/dist/serve.js')
  await doWhereChanged({ step: 'programs', files, made }, buildPrograms)
}

/** What tests need: the web site, the programs and the sample world. */
export async function buildForTests() {
  await buildWhereChanged()
  await buildWorldWhereChanged()
}

/** The sample world, built once for all tests; each takes a copy. Gives its folder. */
export async function buildWorldWhereChanged() {
  await buildProgramsWhereChanged()
  const made = join(root, 'node_modules/.valise/world')
  const files = ['core', 'server', 'stand-ins', 'demo', 'tools'].flatMap((room) => filesIn(join(root, room)))
  await doWhereChanged({ step: 'world', files, made }, async () => {
    rmSync(made, { recursive: true, force: true })
    await buildWorldIn(made)
  })
  return made
}

/** Starts the demo in an empty folder, on any port that is free, until it is ready. */
async function buildWorldIn(folder) {
  const args = ['server/dist/serve.js', '--port', '0', '--data', folder, '--quiet']
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: { ...process.env, VALISE_CLOCK: TEST_START },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise((resolve, reject) => {
    child.stdout.on('data', (text) => text.includes('ready') && resolve())
    child.once('exit', (code) => reject(new Error(`the sample world could not be built: ${code}`)))
  })
  await new Promise((resolve) => {
    child.removeAllListeners('exit').once('exit', resolve)
    child.kill('SIGTERM')
  })
}
