// Today's plan: what is due first on top, each step with what is missing in it and the verb that mends it.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import type { NextStep, TodayPlan } from '@valise/core/submissions'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { StateMark, useSubmissionWords } from '../submissions/index.ts'
import { ReadinessDashes } from '../ui/ReadinessDashes.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { StageStep } from './StageStep.tsx'
import { StepLine } from './StepLine.tsx'
import type { Upcoming } from './upcoming.ts'
import styles from './NextSteps.module.css'

const GAPS_SHOWN = 3

interface NextStepsProps {
  readonly plan: TodayPlan
  readonly upcoming: readonly Upcoming[]
}

export function NextSteps({ plan, upcoming }: NextStepsProps) {
  const { t } = useTranslation('work')
  const { listed, opened, setOpened } = useOpened(upcoming)
  return (
    <>
      {listed.length > 0 ? (
        <ol className={styles.steps} aria-label={t('steps.label')}>
          {listed.map(({ key, work, stage }, at) => {
            const shared = { now: plan.at, isFirst: at === 0 }
            if (work) return <Step key={key} step={work} {...shared} />
            return stage ? (
              <StageStep
                key={key}
                stage={stage}
                {...shared}
                isOpen={opened === key}
                onOpen={(isOpen) => setOpened(isOpen ? key : null)}
              />
            ) : null
          })}
        </ol>
      ) : null}
      {plan.reading.length > 0 ? (
        <ol className={styles.steps} aria-label={t('steps.reading')}>
          {plan.reading.map((reading, at) => (
            <Reading key={reading.assignmentId} reading={reading} isFirst={at === 0} />
          ))}
        </ol>
      ) : null}
      <WithAssessors plan={plan} />
    </>
  )
}

/** The step in which somebody writes stays under their hands, also once nothing is left to do in it. */
function useOpened(upcoming: readonly Upcoming[]) {
  const [held, setHeld] = useState<readonly Upcoming[]>([])
  const [opened, setOpened] = useState<string | null>(null)
  const listed = opened === null ? upcoming : held.map((one) => upcoming.find(isSameStep(one)) ?? one)
  return {
    listed,
    opened,
    setOpened: (key: string | null) => {
      setHeld(listed)
      setOpened(key)
    },
  }
}

const isSameStep = (one: Upcoming) => (other: Upcoming) => other.key === one.key

interface StepProps {
  readonly step: NextStep
  readonly now: string
  readonly isFirst: boolean
}

function Step({ step, now, isFirst }: StepProps) {
  const { t } = useTranslation('work')
  const words = useSubmissionWords()
  const { assignmentId, dueAt, gaps, there, of, kind, latest } = step
  const to = `/assignments/${assignmentId}`
  const title = words.title(step.title)
  const verb = kind === 'change' ? 'steps.change' : gaps.length > 0 ? 'steps.mend' : 'steps.handIn'
  return (
    <StepLine
      {...{ dueAt, now, isOverdue: step.isOverdue }}
      title={t(kind === 'change' ? 'steps.changesTo' : 'steps.handInTitle', { title })}
      act={
        <Button
          component={RouterLink}
          to={to}
          aria-label={t('steps.verbOf', { verb: t(verb), title })}
          {...(isFirst && { variant: 'contained' as const, color: 'primary' as const })}
        >
          {t(verb)}
        </Button>
      }
    >
      {of > 0 ? (
        <p className={styles.readiness}>
          <ReadinessDashes there={there} of={of} /> {t('readiness.there', { there, of })}
        </p>
      ) : null}
      {latest && (kind === 'change' || latest.state === 'not-sealed') ? (
        <p className={styles.readiness}>
          <StateMark row={latest} />
        </p>
      ) : null}
      <ul>
        {gaps.slice(0, GAPS_SHOWN).map((gap) => (
          <Gap key={gap.requirement.id} gap={gap} to={to} />
        ))}
      </ul>
    </StepLine>
  )
}

function Gap({ gap, to }: { readonly gap: NextStep['gaps'][number]; readonly to: string }) {
  const { t } = useTranslation('work')
  const words = useSubmissionWords()
  const { id, kind, weight } = gap.requirement
  return (
    <li>
      <b data-weight={weight}>{t(`weights.${weight}`)}</b>
      <span>
        {words.found(gap)}{' '}
        <Link component={RouterLink} to={`${to}?mend=${id}`}>
          {t(`mend.${kind}`)}
        </Link>
      </span>
    </li>
  )
}

function Reading({
  reading,
  isFirst,
}: {
  readonly reading: TodayPlan['reading'][number]
  readonly isFirst: boolean
}) {
  const { t } = useTranslation('work')
  const when = useWhen()
  const words = useSubmissionWords()
  const title = words.title(reading.title)
  return (
    <li className={styles.step}>
      <div className={styles.when}>
        {reading.oldest === null ? null : (
          <>
            <b>{when.day(reading.oldest)}</b>
            <span>{t('steps.oldest')}</span>
          </>
        )}
      </div>
      <div className={styles.what}>
        <h2>{title}</h2>
        <p className={styles.readiness}>
          {t('steps.toRead', { count: reading.toRead, class: reading.className })}
        </p>
      </div>
      <Button
        component={RouterLink}
        to={`/review-desk/${reading.assignmentId}`}
        aria-label={t('steps.verbOf', { verb: t('steps.read'), title })}
        {...(isFirst && { variant: 'contained' as const, color: 'primary' as const })}
      >
        {t('steps.read')}
      </Button>
    </li>
  )
}

/** What was handed in and is somewhere else now; nothing has to be done about it. */
function WithAssessors({ plan }: { readonly plan: TodayPlan }) {
  const { t } = useTranslation('work')
  const when = useWhen()
  const words = useSubmissionWords()
  if (plan.withAssessors.length === 0) return null
  return (
    <section className={styles.others}>
      <h2>{t('steps.handedIn')}</h2>
      <ul>
        {plan.withAssessors.map((row) => (
          <li key={row.id}>
            <Link component={RouterLink} to={`/submissions/${row.id}`}>
              {words.title(row.title)}
            </Link>
            <StateMark row={row} />
            <span>{when.dayTime(row.requestedAt)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
