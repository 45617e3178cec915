// npm run build: the production build.
import { build } from './lib/build.mjs'

await build()
