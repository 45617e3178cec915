// For Jest: a test file is what bundleTests.mjs made of it.
import { bundleOf } from './bundleTests.mjs'

// Jest takes a transformer from the default export.
export default {
  process: (_source, path) => ({ code: `import ${JSON.stringify(bundleOf(path))}` }),
}
