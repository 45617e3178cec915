// ts-jest for code that loops over pixels: in Jest's rooms each look at a global is slow, so they become names of the module.
import tsJest from 'ts-jest'

const names = [
  'Math',
  'Float32Array',
  'Float64Array',
  'Int32Array',
  'Uint8Array',
  'Uint8ClampedArray',
  'Uint32Array',
]
const head = `const { ${names.join(', ')} } = globalThis; `

export default {
  createTransformer(options) {
    const inner = tsJest.default.createTransformer(options)
    const withHead = (result) => ({ ...result, code: head + result.code })
    return {
      getCacheKey: (...from) => `${inner.getCacheKey(...from)}-quick`,
      process: (...from) => withHead(inner.process(...from)),
      processAsync: async (...from) => withHead(await inner.processAsync(...from)),
    }
  },
}
