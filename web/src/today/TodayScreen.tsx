// Today: what to do next. So far nothing can be asked of anybody, so it says so and shows the way on.
import Link from '@mui/material/Link'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { isAssessorRole } from '@valise/core/people'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, Navigate } from 'react-router'
import { homeOf } from '../app/places.ts'
import { DropSlot } from '../evidence/DropSlot.tsx'
import { uploadQueries } from '../evidence/queries.ts'
import { uploadsHere } from '../evidence/uploadsHere.ts'
import { NewsList } from '../feedback/NewsList.tsx'
import { newsQueries } from '../feedback/queries.ts'
import { useSession } from '../people/useSession.ts'
import { Empty } from '../ui/Empty.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { needWords } from '../words/i18n.ts'
import styles from './TodayScreen.module.css'

const NEWS_SHOWN = 4

export function TodayScreen() {
  const { t } = useTranslation(['today', 'app', 'things'])
  const session = useSession()
  const when = useWhen()
  const now = new Date()
  if (homeOf(session) !== '/') return <Navigate to={homeOf(session)} replace />
  const { memberships } = session
  const reads = memberships.some(({ role }) => isAssessorRole(role))
  const studies = memberships.some(({ role }) => role === 'student')
  const [sentence, hint] = studies
    ? [t('nothing'), t('nothingHint')]
    : reads
      ? [t('readNothing'), t('readNothingHint')]
      : [t('noClass'), t('noClassHint')]
  return (
    <Screen
      place={t('app:places.today')}
      parent={when.longDay(now)}
      sentence={
        <>
          {t(greetingAt(when.hour(now)), { name: session.firstName })}
          <br />
          {sentence}
        </>
      }
      panel={
        <>
          {studies ? (
            <div className={styles.besides}>
              <DropSlot />
            </div>
          ) : null}
          <LatestNews />
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
      <Empty>{hint}</Empty>
      {studies ? (
        <Suspense fallback={null}>
          <WhereYouStopped />
        </Suspense>
      ) : null}
      {memberships.length > 0 ? (
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
  return { default: (await import('../evidence/UploadList.tsx')).UploadList }
})

const WhereYouStopped = lazy(async () => ({
  default: (await import('../pages/WhereYouStopped.tsx')).WhereYouStopped,
}))

function ComingIn() {
  const here = uploadsHere.use()
  const open = useQuery(uploadQueries.open())
  if (here.length === 0 && (open.data?.open.length ?? 0) === 0) return null
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
