// A PostgreSQL of our own for tests, where the machine has one: in a temporary folder, reached by a socket there.
import { execFileSync } from 'node:child_process'
import { chmodSync, chownSync, existsSync, mkdirSync, readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { userInfo } from 'node:os'

/**
 * Starts it in a folder that is made for it.
 *
 * @returns how to make a database there and how to stop it; null where there is no PostgreSQL
 */
export function startPostgres(folder) {
  const bin = findBinaries()
  if (bin === null) return null
  mkdirSync(folder)
  const asUser = notRoot(folder)
  const run = (program, args) => {
    const [command, ...rest] = [...asUser, join(bin, program), ...args]
    // The folder of the caller may be closed to the other user, so the work happens in the root.
    execFileSync(command, rest, { stdio: 'ignore', cwd: '/' })
  }
  const data = join(folder, 'data')
  run('initdb', ['-D', data, '-A', 'trust', '-U', 'valise', '--locale=C', '-E', 'UTF8'])
  const options = `-k ${folder} -h '' -c fsync=off -c max_connections=200`
  run('pg_ctl', ['-D', data, '-o', options, '-w', '-l', join(folder, 'log'), 'start'])
  return {
    /** Makes an empty database. @returns its address, as VALISE_POSTGRES takes it */
    createDatabase(name) {
      run('createdb', ['-h', folder, '-U', 'valise', name])
      return `postgres://valise@localhost/${name}?host=${encodeURIComponent(folder)}`
    },
    stop: () => run('pg_ctl', ['-D', data, '-m', 'immediate', 'stop']),
  }
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
