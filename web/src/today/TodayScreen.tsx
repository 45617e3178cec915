// Today: what to do next. So far nothing can be asked of anybody, so it says so and shows the way on.
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import { isAssessorRole } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, Navigate } from 'react-router'
import { homeOf } from '../app/places.ts'
import { NewsList } from '../feedback/NewsList.tsx'
import { newsQueries } from '../feedback/queries.ts'
import { useSession } from '../people/useSession.ts'
import { Empty } from '../ui/Empty.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './TodayScreen.module.css'

const NEWS_SHOWN = 4

export function TodayScreen() {
  const { t } = useTranslation(['today', 'app', 'people'])
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
      panel={<LatestNews />}
      panelLabel={t('news')}
    >
      <Empty>{hint}</Empty>
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
                <span>{t(`people:roles.${membership.role}`)}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </Screen>
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
