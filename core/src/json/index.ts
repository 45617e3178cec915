// JSON: what holds for its values whatever they mean.
export { isSame } from './isSame.ts'
export { mergeBase } from './mergeBase.ts'
