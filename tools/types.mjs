// Checks the types of every workspace, two at a time: each check keeps one core busy.
import { execFile } from 'node:child_process'
import { promisify } from 'node:util'
import { bin, root } from './lib/run.mjs'

const AT_ONCE = 2

// The largest first, so that no long one is left alone at the end.
const rooms = ['web', 'server', 'tools', 'demo', 'bench', 'core', 'stand-ins', 'e2e']
const [node, tsc] = bin('typescript/bin/tsc')
const run = promisify(execFile)

async function checkNext() {
  for (let room = rooms.shift(); room !== undefined; room = rooms.shift()) {
    try {
      await run(node, [tsc, '-p', room], { cwd: root, maxBuffer: 50_000_000 })
    } catch (error) {
      process.exitCode = 1
      process.stdout.write(`${room}:\n${error.stdout ?? error}\n`)
    }
  }
}

await Promise.all(Array.from({ length: AT_ONCE }, checkNext))
