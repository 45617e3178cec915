// One step on the route of Today: when, what, and the verb that does it.
import { useTranslation } from 'react-i18next'
import type { ReactNode } from 'react'
import { useSubmissionWords } from '../submissions/index.ts'
import { useWhen } from '../ui/useWhen.ts'
import styles from './NextSteps.module.css'

const SOON_MS = 36 * 3_600_000

interface StepLineProps {
  readonly dueAt: string | null
  readonly now: string
  readonly isOverdue?: boolean
  readonly title: ReactNode
  readonly act: ReactNode
  /** What is done in place, under all of it. */
  readonly below?: ReactNode
  readonly children: ReactNode
}

export function StepLine({ dueAt, now, isOverdue = false, title, act, below, children }: StepLineProps) {
  const { t } = useTranslation('work')
  const isSoon = dueAt !== null && Date.parse(dueAt) - Date.parse(now) < SOON_MS
  return (
    <li className={styles.step} data-soon={isSoon}>
      <div className={styles.when}>
        {dueAt === null ? <b>{t('steps.some')}</b> : <Due at={dueAt} now={now} isOver={isOverdue} />}
      </div>
      <div className={styles.what}>
        <h2>{title}</h2>
        {children}
      </div>
      {act}
      {below ? <div className={styles.below}>{below}</div> : null}
    </li>
  )
}

interface DueProps {
  readonly at: string
  readonly now: string
  readonly isOver: boolean
}

/** A near date in words, with the date below. */
function Due({ at, now, isOver }: DueProps) {
  const when = useWhen()
  const words = useSubmissionWords()
  const soon = isOver ? null : when.soonDay(at, now)
  const below = isOver ? words.until(at, now) : when.time(at)
  return (
    <>
      <b className={styles.day}>{soon ?? when.day(at)}</b>
      <span>{soon === null ? below : `${when.date(at)}, ${below}`}</span>
    </>
  )
}
