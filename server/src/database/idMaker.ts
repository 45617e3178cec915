// Ids in the order in which they are made, also within one millisecond.
import { v7 as uuidv7 } from 'uuid'

/**
 * Makes UUIDv7s (RFC 9562) of which each sorts after the one before.
 *
 * Lists are ordered by id where time alone does not decide, so two things of one millisecond need a counter (section
 * 6.2, method 1): it starts somewhere at random and counts on. A clock that goes back does not take the ids with it.
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
