// Submit: is it complete, and what exactly goes in? Parts at the left, readiness in the middle, receipt and act at the right.
import { useQuery } from '@tanstack/react-query'
import type { HandIn } from '@valise/core/submissions'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Navigate, useSearchParams } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useNow } from '../ui/useNow.ts'
import { useWhen } from '../ui/useWhen.ts'
import { HandInPanel } from './HandInPanel.tsx'
import { LatestHandIn } from './LatestHandIn.tsx'
import { PartsList } from './PartsList.tsx'
import { submissionQueries } from './queries.ts'
import { ReadinessList } from './ReadinessList.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './Submit.module.css'

export function SubmitScreen({ id }: { readonly id: string }) {
  const { t } = useTranslation(['submissions', 'app'])
  const words = useSubmissionWords()
  const handIn = useQuery(submissionQueries.handIn(id))
  const title = handIn.data ? words.title(handIn.data.assignment.title) : t('submit.place')
  if (handIn.data && handIn.data.assignment.guideId !== null) return <ToGuide handIn={handIn.data} />
  return (
    <div className={styles.screen}>
      <Screen
        place={t('submit.place')}
        title={title}
        parent={handIn.data ? title : t('app:places.submissions')}
        within="submissions"
        sentence={title}
        {...(handIn.data && { lead: <Lead handIn={handIn.data} /> })}
      >
        <Fetched query={handIn}>{(data) => <Submit key={data.assignment.id} handIn={data} />}</Fetched>
      </Screen>
    </div>
  )
}

/** What is worked through in a guide is handed in there, too. */
function ToGuide({ handIn: { parts } }: { readonly handIn: HandIn }) {
  // Which stage is to be gone on with lies in the address, as which requirement does elsewhere.
  const [search] = useSearchParams()
  const [copy] = parts
  const stage = `?stage=${search.get('mend') ?? ''}`
  return <Navigate replace to={copy ? `${screenOf('guideCopy', copy.id)}${stage}` : '/guide-copies'} />
}

function Submit({ handIn }: { readonly handIn: HandIn }) {
  const { t, i18n } = useTranslation('submissions')
  const { brief } = handIn.assignment
  const words = useSubmissionWords()
  return (
    <>
      <LatestHandIn handIn={handIn} />
      {brief === null ? null : (
        <details className={styles.brief} lang={i18n.language}>
          <summary>{t('submit.brief')}</summary>
          <p>{words.title(brief)}</p>
        </details>
      )}
      <div className={styles.lay}>
        <PartsList handIn={handIn} />
        <ReadinessList handIn={handIn} />
        <HandInPanel key={handIn.latest?.n ?? 0} handIn={handIn} />
      </div>
    </>
  )
}

function Lead({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation('submissions')
  const when = useWhen()
  const now = useNow()
  const words = useSubmissionWords()
  const { assignment, assessors } = handIn
  const { dueAt } = assignment
  const by = words.list(assessors)
  const soon = dueAt === null ? null : when.soonDay(dueAt, now)
  return (
    <>
      {dueAt === null ? (
        t('submit.neverDue')
      ) : (
        <>
          {t(dueAt > now ? 'submit.due' : 'submit.wasDue')}{' '}
          <b className={styles.due} data-soon={isSoon(dueAt, now)}>
            {soon === null ? '' : `${soon}, `}
            {when.dayTime(dueAt)}
          </b>
          , {words.until(dueAt, now)}.
        </>
      )}{' '}
      {t('submit.undo')} <b className={styles.who}>{t('submit.reads', { by, count: assessors.length })}</b>
    </>
  )
}

const DAY_MS = 86_400_000

/** Overdue, or due within a day and a half. */
function isSoon(dueAt: string, now: string): boolean {
  return Date.parse(dueAt) - Date.parse(now) < 1.5 * DAY_MS
}
