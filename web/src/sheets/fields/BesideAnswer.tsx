// Answering by what stands beside the question: whoever shows the questions knows how it is put there.
import type { FieldKind } from '@valise/core/pages'
import type { AnswerProps } from './FieldUi.ts'

export function BesideAnswer({ labelledBy, describedBy, beside }: AnswerProps<FieldKind>) {
  return (
    <div role="group" aria-labelledby={labelledBy} aria-describedby={describedBy}>
      {beside}
    </div>
  )
}
