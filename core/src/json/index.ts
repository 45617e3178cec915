// JSON: what holds for its values whatever they mean.
export { fnv1a } from './fnv1a.ts'
export { isSame } from './isSame.ts'
export { mergeBase } from './mergeBase.ts'
