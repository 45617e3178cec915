// Submissions: what is still to be handed in, and what became of everything that was.
import Link from '@mui/material/Link'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import type { NextStep, SubmissionRow } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { ReadinessDashes } from '../ui/ReadinessDashes.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { LevelMark } from './LevelMark.tsx'
import { submissionQueries } from './queries.ts'
import { StateMark } from './StateMark.tsx'
import { NumberMark, StayingMarks } from './StayingMarks.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './Submissions.module.css'

export function SubmissionsScreen() {
  const { t } = useTranslation(['submissions', 'app'])
  const list = useInfiniteQuery(submissionQueries.list())
  const today = useQuery(submissionQueries.today())
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const count = list.data?.pages[0]?.count ?? 0
  const steps = today.data?.steps ?? []
  return (
    <Screen
      place={t('app:places.submissions')}
      parent={t('app:stops.show')}
      sentence={
        today.data && list.data
          ? t('list.sentence', { count: steps.length, handed: t('list.handed', { count }) })
          : t('app:places.submissions')
      }
    >
      <Fetched query={today}>{() => <Open steps={steps} />}</Fetched>
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('list.empty')}</Empty>
          ) : (
            <section>
              <h2 className={styles.heading}>{t('list.handedIn')}</h2>
              <ul className={styles.list}>
                {items.map((row) => (
                  <Handed key={row.id} row={row} />
                ))}
              </ul>
              <MoreButton query={list} />
            </section>
          )
        }
      </Fetched>
    </Screen>
  )
}

function Open({ steps }: { readonly steps: readonly NextStep[] }) {
  const { t } = useTranslation(['submissions', 'work'])
  const when = useWhen()
  const words = useSubmissionWords()
  if (steps.length === 0) return null
  return (
    <section>
      <h2 className={styles.heading}>{t('list.open')}</h2>
      <ul className={styles.list}>
        {steps.map((step) => (
          <li key={step.assignmentId} data-held="stitched">
            <Link
              component={RouterLink}
              to={`/assignments/${step.assignmentId}`}
              className={styles.name ?? ''}
            >
              {words.title(step.title)}
            </Link>
            <span className={styles.state}>
              {step.of > 0 ? (
                <>
                  <ReadinessDashes there={step.there} of={step.of} />{' '}
                  {t('work:readiness.there', { there: step.there, of: step.of })}
                </>
              ) : null}
              {step.latest ? <StateMark row={step.latest} /> : null}
            </span>
            <span className={styles.time} data-overdue={step.isOverdue}>
              {step.dueAt === null ? t('submit.neverDue') : t('list.due', { time: when.dayTime(step.dueAt) })}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Handed({ row }: { readonly row: SubmissionRow }) {
  const when = useWhen()
  const words = useSubmissionWords()
  return (
    <li data-held={row.number === null ? 'stitched' : 'double'}>
      <Link component={RouterLink} to={`/submissions/${row.id}`} className={styles.name ?? ''}>
        {words.title(row.title)}
      </Link>
      <span className={styles.state}>
        <StateMark row={row} />
        {row.level ? <LevelMark received={row.level} /> : null}
        <StayingMarks row={row} />
      </span>
      <span className={styles.time}>
        <NumberMark number={row.number} /> {when.dayTime(row.requestedAt)}
      </span>
    </li>
  )
}
