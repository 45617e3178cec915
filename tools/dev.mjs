// npm run dev: the server over the sample world, started again at each change, and Vite with hot reload before it.
import { install } from './lib/prepare.mjs'
import { become, bin } from './lib/run.mjs'

install()
const [node, tsx] = bin('tsx/dist/cli.mjs')
become(node, [tsx, 'watch', '--clear-screen=false', 'tools/src/serve.ts', ...process.argv.slice(2)])
become(node, ['node_modules/vite/bin/vite.js'], {}, 'web')
process.stdout.write('Open http://localhost:7390; the API is on http://localhost:7400.\n')
