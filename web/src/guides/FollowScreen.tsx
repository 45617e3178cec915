// How a class has come: students down, stages across. A cell opens the copy at that stage.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { GuideProgress } from '@valise/core/guides'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useParams } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { FollowTable } from './FollowTable.tsx'
import { guideQueries } from './queries.ts'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

export function FollowScreen() {
  const { t } = useTranslation(['guides', 'app'])
  const words = useGuideWords()
  const { id = '', classId = '' } = useParams()
  const progress = useQuery(guideQueries.progress(id, classId))
  const { data } = progress
  const title = data ? words.text(data.title) : t('app:places.guidesSet')
  return (
    <Screen
      place={title}
      parent={data ? data.className : t('app:places.guidesSet')}
      within="guidesSet"
      sentence={data ? <Sentence progress={data} /> : title}
      {...(data && { lead: <Lead progress={data} /> })}
    >
      <Fetched query={progress}>
        {(table) => (
          <>
            <Legend />
            <FollowTable progress={table} />
          </>
        )}
      </Fetched>
    </Screen>
  )
}

/** The one thing that matters: who has left it alone, else how many are through. */
function Sentence({ progress }: { readonly progress: GuideProgress }) {
  const { t } = useTranslation('guides')
  const { students } = progress
  const failed = students.filter(({ handIn }) => handIn === 'failed').length
  const quiet = students.filter(({ isQuiet }) => isQuiet).length
  const done = students.filter(({ cells }) => cells.every((cell) => cell.progress === 'done')).length
  if (failed > 0) return t('follow.failed', { count: failed })
  return quiet > 0 ? t('follow.quiet', { count: quiet }) : t('follow.done', { done, count: students.length })
}

function Lead({ progress }: { readonly progress: GuideProgress }) {
  const { t } = useTranslation('guides')
  const when = useWhen()
  const words = useGuideWords()
  const { guideId, title, className, classCode, reading, dueAt, assignmentId } = progress
  const time = dueAt === null ? '' : when.dayTime(dueAt)
  return (
    <>
      <Link component={RouterLink} to={screenOf('guide', guideId)}>
        {words.text(title)}
      </Link>
      , {className} ({classCode}).{' '}
      {reading === 'sealed'
        ? t('follow.sealed', { time })
        : t(dueAt === null ? 'follow.followed' : 'follow.followedDue', { time })}{' '}
      {assignmentId === null ? null : (
        <Link component={RouterLink} to={`/review-desk/${assignmentId}`}>
          {t('follow.toDesk')}
        </Link>
      )}
    </>
  )
}

/** What the lines mean. */
function Legend() {
  const { t } = useTranslation('guides')
  return (
    <p className={styles.legend}>
      {(['done', 'in-progress', 'not-begun'] as const).map((one) => (
        <span key={one}>
          <i className={styles.line} data-progress={one} aria-hidden="true" />
          {t(`progress.${one}`)}
        </span>
      ))}
    </p>
  )
}
