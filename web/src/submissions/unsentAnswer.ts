// An answer that is being made: where its parts wait on the device until it is given, so that nothing of it is lost.
import type { Outcome } from '@valise/core/submissions'
import { unsentInWindow, writeUnsent } from '../saving/index.ts'

export type FeedbackOn = 'part' | 'whole'

/** What the feedback is about, and who can read it. */
export interface FeedbackReach {
  readonly on: FeedbackOn
  readonly isOpen: boolean
}

export const usualReach: FeedbackReach = { on: 'part', isOpen: false }

/** Returns the places in the device store of one copy. */
export function placesOf(id: string) {
  const address = `/submissions/${id}`
  return {
    level: `${address}#level`,
    /** The sentence that asks for changes. */
    changes: `${address}#changes`,
    feedback: `${address}#feedback`,
    reach: `${address}#reach`,
  }
}

/** Returns whether unsent feedback for a copy is on the device. */
export function hasUnsentWords(places: ReadonlySet<string>, id: string): boolean {
  const { changes, feedback } = placesOf(id)
  return places.has(changes) || places.has(feedback)
}

/** Removes what was sent with an outcome. */
export function clearAnswer(personId: string, id: string, { feedback }: Outcome): void {
  const places = placesOf(id)
  writeUnsent(personId, places.level, undefined)
  writeUnsent(personId, places.changes, undefined)
  clearFeedback(personId, id, feedback?.text ?? '')
}

/** Removes sent feedback. Later typing stays. */
export function clearFeedback(personId: string, id: string, sent: string): void {
  const places = placesOf(id)
  const present = unsentInWindow(personId, places.feedback) ?? ''
  if (typeof present === 'string' && present.trim() !== sent.trim()) return
  writeUnsent(personId, places.feedback, undefined)
  writeUnsent(personId, places.reach, undefined)
}

/** Restores the input of an undone outcome, before anything typed since. */
export function restoreAnswer(personId: string, id: string, outcome: Outcome): void {
  const places = placesOf(id)
  if (outcome.act === 'accept') writeUnsent(personId, places.level, outcome.levelId)
  else putBefore(personId, places.changes, outcome.words)
  if (!outcome.feedback) return
  const { text, part, isOpen } = outcome.feedback
  putBefore(personId, places.feedback, text)
  const reach: FeedbackReach = { on: part === null ? 'whole' : 'part', isOpen }
  writeUnsent(personId, places.reach, reach)
}

function putBefore(personId: string, place: string, text: string): void {
  const since = unsentInWindow(personId, place)
  writeUnsent(personId, place, typeof since === 'string' && since !== '' ? `${text}\n\n${since}` : text)
}
