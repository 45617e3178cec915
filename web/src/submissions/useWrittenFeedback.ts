// The feedback that is being written on a copy: on the device until it is sent, by its button or with the answer.
import { isSharedKind } from '@valise/core/things'
import type { NewFeedback } from '@valise/core/feedback'
import { LONGEST_FEEDBACK } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useState } from 'react'
import { useUnsent } from '../saving/index.ts'
import { useSession } from '../session/index.ts'
import { useSay } from './acts.ts'
import { clearFeedback, placesOf, usualReach } from './unsentAnswer.ts'
import type { FeedbackOn } from './unsentAnswer.ts'

export interface WrittenFeedback {
  readonly text: string
  readonly isThere: boolean
  readonly on: FeedbackOn
  readonly isOpen: boolean
  /** Only a page has readers of its own who could read along. */
  readonly mayBeOpen: boolean
  readonly isPending: boolean
  readonly error: unknown
  readonly setText: (text: string) => void
  readonly setOn: (on: FeedbackOn) => void
  readonly setIsOpen: (isOpen: boolean) => void
  /** What an answer takes along; null where nothing is written. */
  readonly toSend: NewFeedback | null
  /** Sends what is written, apart from an answer. */
  readonly send: () => Promise<void>
}

/**
 * @param part the part that is being read
 */
export function useWrittenFeedback(submission: Submission, part: number): WrittenFeedback {
  const { personId } = useSession()
  const places = placesOf(submission.id)
  const say = useSay(submission.id)
  const unsent = useUnsent(places.feedback, '')
  const reach = useUnsent(places.reach, usualReach)
  const [key, setKey] = useState(() => crypto.randomUUID())
  const { on } = reach.value
  const onPart = submission.partList.find(({ n }) => n === part)
  const mayBeOpen = on === 'part' && onPart !== undefined && isSharedKind(onPart.kind)
  const isOpen = reach.value.isOpen && mayBeOpen
  const isThere = unsent.value.trim() !== ''
  const toSend = isThere ? { part: on === 'part' ? part : null, isOpen, text: unsent.value } : null
  const send = async () => {
    if (!toSend) return
    try {
      await say.mutateAsync({ ...toSend, key })
    } catch {
      // The mutation holds the error, and the form shows it.
      return
    }
    setKey(crypto.randomUUID())
    clearFeedback(personId, submission.id, toSend.text)
  }
  return {
    ...{ text: unsent.value, isThere, on, isOpen, mayBeOpen, toSend, send },
    ...{ isPending: say.isPending, error: say.error },
    setText: (text) => unsent.change(text.slice(0, LONGEST_FEEDBACK)),
    setOn: (next) => reach.change({ ...reach.value, on: next }),
    setIsOpen: (next) => reach.change({ ...reach.value, isOpen: next }),
  }
}
