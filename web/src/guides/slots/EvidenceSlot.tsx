// Evidence beside a question: something new, something that was saved before, or something from the Tray.
import { useTranslation } from 'react-i18next'
import { BesideWords } from '../../reflections/index.ts'
import type { SlotProps } from './Slot.tsx'

export function EvidenceSlot({ editor, answer }: SlotProps) {
  const { t } = useTranslation('guides')
  const { acts, draft, evidence } = editor
  const { id, given } = answer.piece
  const { counted, limits } = answer.progress
  const isAnswer = counted === 'things'
  const most = isAnswer ? limits.most : null
  return (
    <div data-piece={id}>
      <BesideWords
        pieces={answer.beside}
        lang={draft.document.lang}
        evidence={evidence}
        empty={t(isAnswer ? 'slot.evidence' : 'slot.besides')}
        accepts={'accepts' in given.question ? given.question.accepts : []}
        hasRoom={most === null || answer.beside.length < most}
        onPut={(item) => acts.put(id, [item])}
        onChange={acts.setPiece}
        onRemove={acts.remove}
        onUp={(pieceId) => acts.moveUp(id, pieceId)}
      />
    </div>
  )
}
