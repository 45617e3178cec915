// Checks the types of every workspace.
import { bin, hear } from './lib/run.mjs'

const rooms = ['core', 'server', 'web', 'stand-ins', 'demo', 'e2e', 'bench', 'tools']
const [node, tsc] = bin('typescript/bin/tsc')
let failed = false
for (const room of rooms) {
  const { status, output } = hear(node, [tsc, '-p', room])
  if (status !== 0) {
    failed = true
    process.stdout.write(`${room}:\n${output}\n`)
  }
}
process.exitCode = failed ? 1 : 0
