// Search: the index of the words in what people keep.
export { foundRows, putWords, removeWords } from './wordIndex.ts'
