// An instruction where it is needed: words, pictures, films and files, which readers of the copy never see.
import { instructionPieces } from '@valise/core/guides'
import type { Instruction } from '@valise/core/guides'
import { nothingShown, renderPiece } from '@valise/core/pages'
import type { Shown } from '@valise/core/pages'
import { IconInfoCircle } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import styles from './Guides.module.css'
import '@valise/core/pages/paper.css'

interface InstructionViewProps {
  readonly instruction: Instruction
  readonly shown: Shown | null
  /** Whose files are shown; null for nobody's, while it is written. */
  readonly guideId: string | null
}

export function InstructionView({ instruction, shown, guideId }: InstructionViewProps) {
  const { t, i18n } = useTranslation('guides')
  const lang = i18n.language === 'es' ? ('es' as const) : ('en' as const)
  const view = {
    ...{ lang, shown: shown ?? nothingShown, headingShift: 2 },
    address: (piece: string, { name }: { readonly name: string }) =>
      `/api/guides/${guideId}/pieces/${piece}/${name}`,
  }
  const html = instructionPieces(instruction, lang)
    .map((piece) => renderPiece(piece, view))
    .join('')
  return (
    <section className={styles.instruction} aria-label={t('instruction.label')}>
      <IconInfoCircle size={18} stroke={1.7} aria-hidden="true" />
      {html === '' ? (
        <p>{t('instruction.empty')}</p>
      ) : (
        // The core's renderer builds it from known parts and escapes all text.
        <div className="paper" dangerouslySetInnerHTML={{ __html: html }} />
      )}
    </section>
  )
}
