// For property tests: random values of any schema.
export { valuesOf } from './valuesOf.ts'
