// The feedback that is being written on a copy: kept on the device until it is sent, by its button or with the answer.
import { LONGEST_FEEDBACK } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useState } from 'react'
import { useUnsent } from '../drafts/useUnsent.ts'
import { useSay } from './queries.ts'

export type FeedbackOn = 'part' | 'whole'

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
  /** Sends what is written, if anything is. @returns false where it was refused; the words stay then */
  readonly send: () => Promise<boolean>
}

/** @param part the part that is being read */
export function useWrittenFeedback(submission: Submission, part: number): WrittenFeedback {
  const say = useSay(submission.id)
  const [on, setOn] = useState<FeedbackOn>('part')
  const [wantsOpen, setIsOpen] = useState(false)
  const unsent = useUnsent(`/submissions/${submission.id}#feedback`, '')
  const [key, setKey] = useState(() => crypto.randomUUID())
  const onPart = submission.partList.find(({ n }) => n === part)
  const mayBeOpen = on === 'part' && onPart?.kind === 'page'
  const isOpen = wantsOpen && mayBeOpen
  const isThere = unsent.value.trim() !== ''
  const send = async () => {
    if (!isThere) return true
    try {
      await say.mutateAsync({ part: on === 'part' ? part : null, isOpen, text: unsent.value, key })
    } catch {
      // The mutation holds the error, and the form shows it.
      return false
    }
    unsent.clear()
    setKey(crypto.randomUUID())
    return true
  }
  return {
    ...{ text: unsent.value, isThere, on, isOpen, mayBeOpen },
    ...{ isPending: say.isPending, error: say.error },
    setText: (text) => unsent.change(text.slice(0, LONGEST_FEEDBACK)),
    setOn,
    setIsOpen,
    send,
  }
}
