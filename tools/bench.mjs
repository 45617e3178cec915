// npm run bench: builds where needed, then measures.
import { ensureChromium } from './lib/chromium.mjs'
import { buildWhereChanged, install } from './lib/prepare.mjs'
import { bin, show } from './lib/run.mjs'

install()
ensureChromium()
await buildWhereChanged()
const [node, tsx] = bin('tsx/dist/cli.mjs')
process.exitCode = show(node, [tsx, 'bench/src/main.ts', ...process.argv.slice(2)])
