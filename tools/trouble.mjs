// npm run trouble: builds where needed, then kills, fills up and overloads the server; ten minutes at most.
import { buildForTests, install } from './lib/prepare.mjs'
import { bin, show } from './lib/run.mjs'

install()
await buildForTests()
const [node, tsx] = bin('tsx/dist/cli.mjs')
process.exitCode = show(node, [tsx, 'tools/src/trouble/main.ts', ...process.argv.slice(2)])
