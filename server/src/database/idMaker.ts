// Ids in the order in which they are made, also within one millisecond.
import { v7 as uuidv7 } from 'uuid'

/**
 * Makes a generator of UUIDv7s (RFC 9562), each of which sorts after the one before.
 *
 * Lists are sorted by id where time alone does not decide, so ids of one millisecond need a counter (section 6.2,
 * method 1); it starts at a random value. A clock that goes back does not take the ids with it.
 */
export function createIdMaker(): (milliseconds: number) => string {
  let last = -Infinity
  let count = 0
  return (milliseconds) => {
    if (milliseconds > last) {
      last = milliseconds
      count = Math.floor(Math.random() * 0x7fff_ffff)
    } else {
      count += 1
    }
    return uuidv7({ msecs: last, seq: count })
  }
}
