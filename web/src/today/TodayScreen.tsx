// Today: what to do next, computed from what is asked of one and what one is to read.
import Link from '@mui/material/Link'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { isAssessorRole } from '@valise/core/people'
import type { NextStep } from '@valise/core/submissions'
import type { StageStep } from '@valise/core/today'
import { lazy, Suspense, useMemo } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { DropSlot } from '../evidence/list/index.ts'
import { uploadQueries, uploadsHere, arrivals, loadUploadList } from '../evidence/upload/index.ts'
import { useAreSourcesKnown } from '../gather/index.ts'
import { NewsList, newsQueries } from '../news/index.ts'
import { useSession } from '../session/index.ts'
import { pageQueries, WhereYouStopped } from '../pages/index.ts'
import { submissionQueries } from '../submissions/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched, Loading } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { needWords } from '../words/i18n.ts'
import { LatestFeedback } from './LatestFeedback.tsx'
import { NextSteps } from './NextSteps.tsx'
import { todayQueries } from './queries.ts'
import { countDue, toUpcoming } from './upcoming.ts'
import { useDaySentence } from './useDaySentence.ts'
import { WeekLine } from './WeekLine.tsx'
import { WriteEntry } from './WriteEntry.tsx'
import styles from './TodayScreen.module.css'

const NEWS_SHOWN = 4
const noSteps: readonly NextStep[] = []
const noStages: readonly StageStep[] = []

export function TodayScreen() {
  const { t } = useTranslation(['today', 'app', 'things'])
  const session = useSession()
  const when = useWhen()
  const now = new Date()
  const query = useQuery({ ...submissionQueries.today(), enabled: session.memberships.length > 0 })
  const plan = query.data
  const sentenceOf = useDaySentence()
  const studies = session.memberships.some(({ role }) => role === 'student')
  const newest = useQuery({ ...pageQueries.newest(), enabled: studies })
  const guides = useQuery({ ...todayQueries.stages(), enabled: studies })
  const stages = guides.data?.stages ?? noStages
  const steps = plan?.steps ?? noSteps
  // The same as long as both stay: what somebody writes in a step is told apart from what is new.
  const upcoming = useMemo(() => toUpcoming(steps, stages), [steps, stages])
  const areStepsThere = plan !== undefined && !(studies && guides.isPending)
  const areWaysKnown = useAreSourcesKnown(studies)
  const { memberships } = session
  const reads = memberships.some(({ role }) => isAssessorRole(role))
  const hint = studies ? t('nothingHint') : reads ? t('readNothingHint') : t('noClassHint')
  /** What stands under each other comes together, so that nothing is pushed down by what comes later. */
  const isWhole =
    !(memberships.length > 0 && query.isPending) && !(studies && (newest.isPending || guides.isPending))
  const isEmpty = areStepsThere && upcoming.length + plan.reading.length + plan.withAssessors.length === 0
  const week = session.showsWeek ? guides.data?.week : undefined
  return (
    <Screen
      place={t('app:places.today')}
      parent={when.longDay(now)}
      sentence={
        <>
          {t(greetingAt(when.hour(now)), { name: session.firstName })}
          <br />
          {memberships.length === 0
            ? t('noClass')
            : areStepsThere
              ? sentenceOf(plan, upcoming, studies)
              : ' '}
        </>
      }
      {...(studies && { act: <WriteEntry stages={guides.data?.stages ?? null} /> })}
      panel={
        <>
          {studies ? (
            <div className={styles.besides}>
              <DropSlot />
            </div>
          ) : null}
          {/* What comes first in the panel is there first: nothing moves under the reader's eyes. */}
          {areWaysKnown && (plan || memberships.length === 0 || query.error) ? (
            <>
              {plan && plan.feedback.length > 0 ? <LatestFeedback items={plan.feedback} /> : null}
              <LatestNews />
            </>
          ) : null}
        </>
      }
      panelLabel={t('news')}
    >
      {studies ? (
        <>
          {/* On a phone the slot comes first: what one has in hand goes in before anything is read. */}
          <div className={styles.first}>
            <DropSlot />
          </div>
          <ComingIn />
        </>
      ) : null}
      {isEmpty || memberships.length === 0 ? <Empty>{hint}</Empty> : null}
      {areStepsThere && !isEmpty ? <NextSteps plan={plan} upcoming={upcoming} /> : null}
      {query.error ? <Fetched query={query}>{() => null}</Fetched> : null}
      {guides.error ? <Fetched query={guides}>{() => null}</Fetched> : null}
      {plan && week ? <WeekLine week={week} due={countDue(upcoming, week.endsAt)} /> : null}
      {/* Another outline below what has come: one that moved down would move under the reader's eyes. */}
      {isWhole ? null : <Loading key={areStepsThere ? 'rest' : 'all'} />}
      {studies && isWhole ? <WhereYouStopped /> : null}
      {memberships.length > 0 && isWhole ? (
        <section className={styles.classes}>
          <h2>{t('classes')}</h2>
          <ul>
            {memberships.map((membership) => (
              <li key={`${membership.classId}-${membership.role}`}>
                <Link component={RouterLink} to={`/classes/${membership.classId}`}>
                  {membership.className}
                </Link>
                <span>{membership.classCode}</span>
                <span>{t(`things:roles.${membership.role}`)}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </Screen>
  )
}

/** Fetched when there is something to tell; most days there is nothing on its way. */
const UploadList = lazy(async () => {
  await needWords('evidence')
  return { default: await loadUploadList() }
})

function ComingIn() {
  const here = uploadsHere.use()
  const open = useQuery(uploadQueries.open())
  const arrived = arrivals.use()
  if (here.length + arrived.length === 0 && (open.data?.open.length ?? 0) === 0) return null
  return (
    <Suspense fallback={null}>
      <UploadList />
    </Suspense>
  )
}

function LatestNews() {
  const { t } = useTranslation('today')
  const news = useInfiniteQuery(newsQueries.list())
  const items = news.data?.pages[0]?.items ?? []
  return (
    <section className={styles.news}>
      <h2>{t('news')}</h2>
      <NewsList items={items.slice(0, NEWS_SHOWN)} />
    </section>
  )
}

function greetingAt(hour: number): 'morning' | 'afternoon' | 'evening' {
  if (hour >= 5 && hour < 12) return 'morning'
  return hour >= 12 && hour < 19 ? 'afternoon' : 'evening'
}
