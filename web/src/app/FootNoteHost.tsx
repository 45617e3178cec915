// Shows the note at the foot, whatever screen is open.
import { FootNote } from '../ui/FootNote.tsx'
import { footNote, runFootNote } from '../ui/footNote.ts'
import { useProblemWords } from '../ui/useProblemWords.ts'

export function FootNoteHost() {
  const { sentence } = useProblemWords()
  const note = footNote.use()
  if (!note) return null
  const { words, error, action, staysMs } = note
  return (
    <FootNote
      key={words}
      words={error === undefined ? words : `${words} ${sentence(error)}`}
      {...(action && { action: { label: action.label, run: () => void runFootNote() } })}
      {...(error !== undefined ? { staysMs: null } : staysMs !== undefined && { staysMs })}
      onGone={() => footNote.set(null)}
    />
  )
}
