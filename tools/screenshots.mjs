// npm run screenshots: takes docs/screenshots afresh from the sample world.
import { ensureBrowser } from './lib/chromium.mjs'
import { buildWhereChanged, install } from './lib/prepare.mjs'
import { bin, show } from './lib/run.mjs'

install()
ensureBrowser('chromium-headless-shell')
await buildWhereChanged()
const [node, playwright] = bin('@playwright/test/cli.js')
process.exitCode = show(node, [playwright, 'test', '--config', 'e2e/screenshots.config.ts'])
