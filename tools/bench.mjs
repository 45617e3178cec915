// npm run bench: builds where needed, then measures.
import { ensureBrowser } from './lib/chromium.mjs'
import { buildWhereChanged, install } from './lib/prepare.mjs'
import { bin, show } from './lib/run.mjs'

install()
ensureBrowser('chromium')
await buildWhereChanged()
const [node, tsx] = bin('tsx/dist/cli.mjs')
process.exitCode = show(node, [tsx, 'bench/src/main.ts', ...process.argv.slice(2)])
