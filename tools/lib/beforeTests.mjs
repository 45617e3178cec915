// Before all tests: bundles them, builds the programs and the sample world, makes a folder that they share, and starts a
// PostgreSQL of our own where the machine has one.
import { execFileSync } from 'node:child_process'
import { chmodSync, chownSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir, userInfo } from 'node:os'
import { dirname, join } from 'node:path'
import { bundleTests } from './bundleTests.mjs'
import { buildWorldWhereChanged } from './prepare.mjs'

export default async function beforeTests() {
  await bundleTests()
  process.env.VALISE_TEST_WORLD = await buildWorldWhereChanged()
  const folder = mkdtempSync(join(tmpdir(), 'valise-tests-'))
  process.env.VALISE_TEST_FOLDER = folder
  const stop = startPostgres(join(folder, 'postgres'))
  globalThis.tidyAfterTests = () => {
    stop()
    rmSync(folder, { recursive: true })
  }
}

/** Without PostgreSQL, SQLite alone is tested. */
function startPostgres(folder) {
  const bin = findBinaries()
  if (bin === null) return () => {}
  mkdirSync(folder)
  const asUser = notRoot(folder)
  const data = join(folder, 'data')
  run(asUser, join(bin, 'initdb'), ['-D', data, '-A', 'trust', '-U', 'valise', '--locale=C', '-E', 'UTF8'])
  const options = `-k ${folder} -h '' -c fsync=off -c max_connections=200`
  run(asUser, join(bin, 'pg_ctl'), ['-D', data, '-o', options, '-w', '-l', join(folder, 'log'), 'start'])
  process.env.VALISE_TEST_POSTGRES = folder
  return () => run(asUser, join(bin, 'pg_ctl'), ['-D', data, '-m', 'immediate', 'stop'])
}

function findBinaries() {
  const root = '/usr/lib/postgresql'
  const versions = existsSync(root) ? readdirSync(root).sort((a, b) => Number(b) - Number(a)) : []
  const folders = [
    ...versions.map((version) => join(root, version, 'bin')),
    ...(process.env.PATH ?? '').split(':'),
  ]
  return (
    folders.find((folder) => existsSync(join(folder, 'postgres')) && existsSync(join(folder, 'initdb'))) ??
    null
  )
}

/** PostgreSQL refuses to run as root: then the user that its package made runs it, who must get through to its folder. */
function notRoot(folder) {
  if (userInfo().uid !== 0) return []
  chmodSync(dirname(folder), 0o711)
  const idOf = (flag) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  chownSync(folder, idOf('-u'), idOf('-g'))
  return ['setpriv', '--reuid=postgres', '--regid=postgres', '--clear-groups']
}

function run(prefix, command, args) {
  const [program, ...rest] = [...prefix, command, ...args]
  // The folder of the caller may be closed to the other user, so the work happens in the root.
  execFileSync(program, rest, { stdio: 'ignore', cwd: '/' })
}
