// Search: the index of the words in what people keep.
export { findRows, putWords, removeWords } from './wordIndex.ts'
