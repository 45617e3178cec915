// npm run build: the web site and the programs, into the dist folders. With --for-tests only what is not built yet, and the
// sample world that tests take copies of.
import { build } from './lib/build.mjs'
import { buildForTests } from './lib/prepare.mjs'

await (process.argv.includes('--for-tests') ? buildForTests() : build())
