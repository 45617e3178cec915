// What is checked without running the product: format, lint, types, architecture, what nothing uses. Two at a time, since
// each keeps one core busy.
import { bin, hearMeanwhile } from './run.mjs'

const AT_ONCE = 2

const rooms = ['core', 'server', 'web', 'stand-ins', 'demo', 'e2e', 'bench', 'tools']

/** What they found before is looked at again only where a file has changed. */
const cache = 'node_modules/.cache/valise'

/** Rooms with the same surroundings share one program: what they import is read once. */
export const typeChecks = ['web', 'tsconfig.programs.json', 'bench', 'core', 'e2e'].map((project) => {
  const name = project.replace(/^tsconfig\.|\.json$/g, '')
  const again = ['--incremental', '--tsBuildInfoFile', `${cache}/${name}.tsbuildinfo`]
  return { name: `types of ${name}`, command: [...bin('typescript/bin/tsc'), '-p', project, ...again] }
})

const byContent = ['--cache', '--cache-strategy', 'content', '--cache-location']

/** The longest first, so that none is left alone at the end. */
export const checks = [
  {
    name: 'lint',
    command: [...bin('eslint/bin/eslint.js'), '--max-warnings', '0', ...byContent, `${cache}/lint`, '.'],
  },
  ...typeChecks,
  {
    name: 'format',
    command: [...bin('prettier/bin/prettier.cjs'), '--check', ...byContent, `${cache}/format`, '.'],
  },
  {
    name: 'architecture',
    command: [
      ...bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      ...['--config', '.dependency-cruiser.cjs', ...rooms],
    ],
  },
  { name: 'unused', command: [...bin('knip/bin/knip.js'), '--no-progress'] },
]

/** The build stands beside them: it needs nothing of them, and the journeys need it. */
export const buildCheck = { name: 'build', command: [process.execPath, 'tools/build.mjs', '--for-tests'] }

/** Runs them all and prints each when it ends; gives how many passed and failed. */
export async function runChecks(toRun) {
  const open = [...toRun]
  const count = { passed: 0, failed: 0, skipped: 0 }
  const runNext = async () => {
    for (let check = open.shift(); check !== undefined; check = open.shift()) {
      const [program, ...args] = check.command
      const { status, output } = await hearMeanwhile(program, args)
      process.stdout.write(`${check.name}: ${status === 0 ? 'passed' : `failed\n${output}`}\n`)
      count[status === 0 ? 'passed' : 'failed'] += 1
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, runNext))
  return count
}
