// Search: the index of the words in what people keep.
export { amongRows, findRows, putWords, removeWords } from './wordIndex.ts'
