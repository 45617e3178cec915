// npm run build: the web site and the programs, into the dist folders. With --for-tests only what is not built yet, and the
// sample world that tests take copies of.
import { build } from './lib/build.mjs'
import { buildWhereChanged, buildWorldWhereChanged } from './lib/prepare.mjs'

if (process.argv.includes('--for-tests')) {
  await buildWhereChanged()
  await buildWorldWhereChanged()
} else {
  await build()
}
