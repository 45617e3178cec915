// A stage of a guide on Today: what is still to be answered in it, and the answering itself, in place.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { textIn } from '@valise/core/people'
import type { StageStep as Stage } from '@valise/core/today'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { loadStageHere, useStart } from '../guides/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { ReadinessDashes } from '../ui/ReadinessDashes.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { needWords } from '../words/i18n.ts'
import { StepLine } from './StepLine.tsx'
import styles from './NextSteps.module.css'

const QUESTIONS_SHOWN = 3

/** A copy is fetched with its fields when one is answered here. */
const StageHere = lazy(async () => {
  const [component] = await Promise.all([
    loadStageHere(),
    ...[needWords('guides'), needWords('sheets'), needWords('pages')],
    ...[needWords('reflections'), needWords('evidence'), needWords('submissions')],
  ])
  return { default: component }
})

interface StageStepProps {
  readonly stage: Stage
  readonly now: string
  readonly isFirst: boolean
  readonly isOpen: boolean
  readonly onOpen: (isOpen: boolean) => void
}

export function StageStep({ stage, now, isFirst, isOpen, onOpen }: StageStepProps) {
  const { t, i18n } = useTranslation('work')
  const start = useStart()
  const copyId = stage.copyId ?? start.data?.id ?? null
  const { dueAt, required, open, questions, isHandedIn } = stage
  const name = textIn(stage.name, i18n.language)
  const guide = textIn(stage.title, i18n.language)
  const title = t('steps.stageTitle', { stage: name, guide })
  const verb = t(isOpen ? 'steps.close' : copyId === null ? 'steps.start' : 'steps.answerHere')
  const toggle = async () => {
    if (copyId === null) await start.mutateAsync(stage.guideId)
    onOpen(!isOpen)
  }
  return (
    <StepLine
      dueAt={dueAt}
      now={now}
      title={
        copyId === null ? (
          title
        ) : (
          <Link component={RouterLink} to={`/guide-copies/${copyId}?stage=${stage.stageId}`}>
            {title}
          </Link>
        )
      }
      act={
        <Button
          aria-label={t('steps.verbOf', { verb, title })}
          aria-expanded={isOpen}
          loading={start.isPending}
          // What went wrong stands below.
          onClick={() => void toggle().catch(() => undefined)}
          {...(isFirst && { variant: 'contained' as const, color: 'primary' as const })}
        >
          {verb}
        </Button>
      }
      below={
        isOpen && copyId !== null ? (
          <Suspense fallback={<Loading />}>
            <StageHere copyId={copyId} stageId={stage.stageId} />
          </Suspense>
        ) : null
      }
    >
      {required > 0 && !isOpen ? (
        <p className={styles.readiness}>
          <ReadinessDashes there={required - open} of={required} />{' '}
          {t('steps.answered', { there: required - open, of: required })}
        </p>
      ) : null}
      {dueAt !== null && isHandedIn ? <p className={styles.readiness}>{t('steps.byItself')}</p> : null}
      {isOpen ? null : (
        <ul>
          {questions.slice(0, QUESTIONS_SHOWN).map(({ id, asks, weight }) => (
            <li key={id}>
              <b data-weight={weight}>{t(`weights.${weight}`)}</b>
              <span>{textIn(asks, i18n.language)}</span>
            </li>
          ))}
        </ul>
      )}
      <Refusal error={start.error} />
    </StepLine>
  )
}
