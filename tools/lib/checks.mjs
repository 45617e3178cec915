// What is checked without being run: format, lint, types, architecture; two at a time, because each keeps one core busy.
import { bin, hearMeanwhile } from './run.mjs'

const AT_ONCE = 2

const rooms = ['core', 'server', 'web', 'stand-ins', 'demo', 'e2e', 'bench', 'tools']

/** Rooms with the same surroundings share one program: what they import is read once. */
export const typeChecks = ['web', 'tsconfig.programs.json', 'bench', 'core', 'e2e'].map((project) => ({
  name: `types of ${project.replace(/^tsconfig\.|\.json$/g, '')}`,
  command: [...bin('typescript/bin/tsc'), '-p', project],
}))

/** The longest first, so that none is left alone at the end. */
export const checks = [
  { name: 'lint', command: [...bin('eslint/bin/eslint.js'), '--max-warnings', '0', '.'] },
  ...typeChecks,
  { name: 'format', command: [...bin('prettier/bin/prettier.cjs'), '--check', '--cache', '.'] },
  {
    name: 'architecture',
    command: [
      ...bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      ...['--config', '.dependency-cruiser.cjs', ...rooms],
    ],
  },
]

/** Runs them all and gives each with its exit code and what it said, in the order in which they ended. */
export async function runChecks(toRun) {
  const open = [...toRun]
  const done = []
  const runNext = async () => {
    for (let check = open.shift(); check !== undefined; check = open.shift()) {
      const [program, ...args] = check.command
      done.push({ name: check.name, ...(await hearMeanwhile(program, args)) })
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, runNext))
  return done
}
