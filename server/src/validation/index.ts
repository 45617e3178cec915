// Validation: what comes in, and in tests what goes out, against the schemas of the core.
export { assertAnswer, parseInput } from './parseInput.ts'
