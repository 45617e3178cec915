// npm run screenshots: takes docs/screenshots afresh from the sample world.
import { ensureBrowser } from './lib/chromium.mjs'
import { buildForTests, install } from './lib/prepare.mjs'
import { bin, show } from './lib/run.mjs'

install()
ensureBrowser('chromium-headless-shell')
await buildForTests()
const [node, playwright] = bin('@playwright/test/cli.js')
process.exitCode = show(node, [playwright, 'test', '--config', 'e2e/screenshots.config.ts'])
