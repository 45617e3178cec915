// An instruction where it is needed: words, pictures, films and files, which readers of the copy never see.
import { useQueries } from '@tanstack/react-query'
import { instructionPieces } from '@valise/core/guides'
import type { Instruction } from '@valise/core/guides'
import { isShown, renderPiece } from '@valise/core/pages'
import type { PageView, Shown } from '@valise/core/pages'
import { IconInfoCircle } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { draftView, evidenceQueries, toShownEvidence } from '../evidence/base/index.ts'
import styles from './Guides.module.css'
import '@valise/core/pages/paper.css'

interface InstructionViewProps {
  readonly instruction: Instruction
  readonly shown: Shown
  /** Whose files are shown. */
  readonly guideId: string
}

export function InstructionView({ instruction, shown, guideId }: InstructionViewProps) {
  const lang = useLanguage()
  const view: PageView = {
    ...{ lang, shown },
    address: (piece, { name }) => `/api/guides/${guideId}/pieces/${piece}/${name}`,
  }
  return <Instructed instruction={instruction} view={view} />
}

/** An instruction as it is written, with the things of one's own that it shows. */
export function WrittenInstruction({ instruction }: Pick<InstructionViewProps, 'instruction'>) {
  const lang = useLanguage()
  const items = useQueries({ queries: instruction.items.map(({ id }) => evidenceQueries.one(id)) })
  const there = items.flatMap(({ data }, n) =>
    data ? [[`${instruction.id}-${n}`, toShownEvidence(data)] as const] : [],
  )
  const view = draftView(lang, { evidence: Object.fromEntries(there), entries: {} })
  return <Instructed instruction={instruction} view={view} />
}

interface InstructedProps {
  readonly instruction: Instruction
  readonly view: PageView
}

function Instructed({ instruction, view }: InstructedProps) {
  const { t } = useTranslation('guides')
  // What nobody can show here, such as a picture of a colleague, is left out.
  const html = instructionPieces(instruction, view.lang)
    .filter((piece) => isShown(piece, view.shown))
    .map((piece) => renderPiece(piece, { ...view, headingShift: 2 }))
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

function useLanguage() {
  const { i18n } = useTranslation()
  return i18n.language === 'es' ? ('es' as const) : ('en' as const)
}
