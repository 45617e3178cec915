// npm run build: the web site and the programs, into the dist folders; with --where-changed only what is not built yet.
import { build } from './lib/build.mjs'
import { buildWhereChanged } from './lib/prepare.mjs'

await (process.argv.includes('--where-changed') ? buildWhereChanged() : build())
