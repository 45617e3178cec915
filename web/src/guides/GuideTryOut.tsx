// Trying a guide out as a student, on any day: which stage is open then, and what it asks. Nothing is saved.
import { guideMoments, isInstruction, newCopyDocument, stageStates, takeVersion } from '@valise/core/guides'
import type { GuideContent, Stage } from '@valise/core/guides'
import { applyOperations } from '@valise/core/pages'
import type { AnswerPiece, PageDocument } from '@valise/core/pages'
import { answersOf } from '@valise/core/reflections'
import type { AnswerInEntry } from '@valise/core/reflections'
import { localToInstant } from '@valise/core/time'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useToday } from '../session/index.ts'
import { AnswerField } from '../sheets/index.ts'
import { DayField } from '../ui/DayField.tsx'
import { Empty } from '../ui/Empty.tsx'
import { useUiSettings } from '../ui/settings.tsx'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { useStableActs } from '../ui/useStableActs.ts'
import { WrittenInstruction } from './InstructionView.tsx'
import { StageRoute } from './StageRoute.tsx'
import styles from './Guides.module.css'

/** A try-out belongs to no guide that there is. */
const TRIED = '00000000-0000-7000-8000-000000000000'
const writing = { fromElsewhere: 0, registerFlush: () => () => undefined }

export function GuideTryOut({ content }: { readonly content: GuideContent }) {
  const { t } = useTranslation('guides')
  const { stages, document, day, setDay, shown, show, onPiece } = useTryOut(content)
  const stage = content.stages.find(({ id }) => id === shown)
  return (
    <section className={styles.tryOut} aria-label={t('build.tryOut')}>
      <h2>{t('build.tryOut')}</h2>
      <p>{t('build.tryOutHint')}</p>
      <DayField label={t('build.tryOutDay')} value={day} onChange={setDay} />
      {content.stages.length === 0 ? <Empty>{t('build.tryOutEmpty')}</Empty> : null}
      <StageRoute stages={stages} shownId={shown} onShow={show} />
      {stage ? <Tried stage={stage} document={document} onPiece={onPiece} /> : null}
    </section>
  )
}

function useTryOut(content: GuideContent) {
  const { i18n } = useTranslation()
  const { timeZone } = useUiSettings()
  const today = useToday()
  const lang = i18n.language === 'es' ? ('es' as const) : ('en' as const)
  const [day, setDay] = useState(today)
  const [wanted, show] = useState<string | null>(null)
  const version = { id: TRIED, n: 1, content }
  const [written, setWritten] = useState<PageDocument>(() => newCopyDocument(version, TRIED, lang))
  const document = applyOperations(written, takeVersion(written, version, TRIED)) ?? written
  const at = localToInstant(`${day || today}T12:00`, timeZone, 'from')
  // What opens by hand is tried out as if it were open.
  const opened = new Map(content.stages.map(({ id }) => [id, at]))
  const stages = stageStates(document, content, guideMoments(content, timeZone, opened), at)
  const open = stages.filter(({ phase }) => phase !== 'to-come')
  const shown = open.find(({ id }) => id === wanted)?.id ?? open[0]?.id ?? null
  const acts = useStableActs({
    onPiece: (piece: AnswerPiece) =>
      setWritten(applyOperations(document, [{ op: 'set-piece', piece }]) ?? document),
  })
  return { stages, document, day, setDay, shown, show, onPiece: acts.onPiece }
}

interface TriedProps {
  readonly stage: Stage
  readonly document: PageDocument
  readonly onPiece: (piece: AnswerPiece) => void
}

function Tried({ stage, document, onPiece }: TriedProps) {
  const { t } = useTranslation('guides')
  const answers = new Map(answersOf(document).map((answer) => [answer.piece.given.question.id, answer]))
  const field = (answer: AnswerInEntry) => (
    <AnswerField
      key={answer.piece.id}
      answer={answer}
      heading="h3"
      lang={document.lang}
      place="/try-out"
      writing={writing}
      beside={<StitchedBox>{t('build.besideHere')}</StitchedBox>}
      onPiece={onPiece}
    />
  )
  return (
    <div className={styles.open}>
      {stage.blocks.map((block) => {
        if (isInstruction(block)) return <WrittenInstruction key={block.id} instruction={block} />
        const answer = answers.get(block.id)
        return answer ? field(answer) : null
      })}
    </div>
  )
}
