// npm run demo: from a fresh clone to the running sample world. Starts from plain Node.
import { buildWhereChanged, install } from './lib/prepare.mjs'
import { become } from './lib/run.mjs'

install()
await buildWhereChanged()
become(process.execPath, ['--enable-source-maps', 'server/dist/serve.js', ...process.argv.slice(2)])
