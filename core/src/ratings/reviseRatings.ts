// What a changed document does to the ratings that were read out of it before: none is written over after its day.
import { isSame } from '../json/index.ts'
import type { LocalDay } from '../time/index.ts'
import type { RatingInDocument } from './ratingsIn.ts'

/** A rating as it is stored. */
export interface StoredRating extends RatingInDocument {
  readonly id: string
  /** Which one of its piece it is, from 1. */
  readonly n: number
  /** The day that it tells of. */
  readonly day: LocalDay
  /** The day on which it was written. */
  readonly changedOn: LocalDay
  /** Whether its document no longer shows it. */
  readonly isGone: boolean
}

type NewRating = RatingInDocument & Pick<StoredRating, 'n' | 'day' | 'changedOn'>

export interface RatingRevision {
  readonly added: readonly NewRating[]
  /** With what it says now. */
  readonly changed: readonly (RatingInDocument & Pick<StoredRating, 'id'>)[]
  /** The pieces whose ratings are shown no more, and those whose ratings are shown again. */
  readonly gone: readonly string[]
  readonly back: readonly string[]
}

interface Days {
  /** The day that the document tells of. */
  readonly day: LocalDay
  readonly today: LocalDay
}

/**
 * Compares the ratings of a document with those stored for it.
 *
 * What is changed on the day on which it was written was a slip, or is still being written, and changes the stored rating.
 * On a later day the stored one stays as it is, and the changed one is another rating, of that day. What was removed comes
 * back when the document shows it again, as after an undo.
 */
export function reviseRatings(
  stored: readonly StoredRating[],
  found: readonly RatingInDocument[],
  { day, today }: Days,
): RatingRevision {
  const shown = new Set(found.map(({ pieceId }) => pieceId))
  const storedIds = new Set(stored.map(({ pieceId }) => pieceId))
  const goneIds = new Set(stored.filter(({ isGone }) => isGone).map(({ pieceId }) => pieceId))
  const pairs = found.map((rating) => ({ rating, last: lastOf(stored, rating.pieceId) }))
  const differing = pairs.flatMap(({ rating, last }) =>
    last && !isSame(contentOf(last), contentOf(rating)) ? [{ rating, last }] : [],
  )
  return {
    added: [
      ...pairs.flatMap(({ rating, last }) => (last ? [] : [{ ...rating, n: 1, day, changedOn: today }])),
      ...differing
        .filter(({ last }) => last.changedOn !== today)
        .map(({ rating, last }) => ({ ...rating, n: last.n + 1, day: today, changedOn: today })),
    ],
    changed: differing
      .filter(({ last }) => last.changedOn === today)
      .map(({ rating, last }) => ({ ...rating, id: last.id })),
    gone: [...storedIds].filter((id) => !shown.has(id) && !goneIds.has(id)),
    back: [...goneIds].filter((id) => shown.has(id)),
  }
}

function lastOf(stored: readonly StoredRating[], pieceId: string): StoredRating | null {
  return stored
    .filter((one) => one.pieceId === pieceId)
    .reduce<StoredRating | null>((last, one) => (last === null || one.n > last.n ? one : last), null)
}

function contentOf({ attribute, name, step, reason, evidenceIds }: RatingInDocument) {
  return { attribute, name, step, reason, evidenceIds }
}
