// Answering by evidence: whoever shows the questions knows how it is put there.
import type { AnswerProps } from '../FieldUi.ts'

export function EvidenceAnswer({ labelledBy, describedBy, beside }: AnswerProps<'evidence'>) {
  return (
    <div role="group" aria-labelledby={labelledBy} aria-describedby={describedBy}>
      {beside}
    </div>
  )
}
