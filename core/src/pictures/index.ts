// Pictures: what is computed over their samples.
export {
  differenceHash,
  findAlike,
  HASH_HEIGHT,
  HASH_WIDTH,
  hashDistance,
  isTelling,
  MOST_DIFFERENCE,
} from './differenceHash.ts'
