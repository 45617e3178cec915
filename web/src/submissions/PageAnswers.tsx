// On a page: where it was handed in and what came of it, and what was said on it. Others see what is open to them.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { SubmissionRow } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { FeedbackThread } from '../feedback/index.ts'
import { LevelMark } from './LevelMark.tsx'
import { submissionQueries } from './queries.ts'
import { StateMark } from './StateMark.tsx'
import { NumberMark } from './StayingMarks.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './PageAnswers.module.css'

export function PageAnswers({ pageId }: { readonly pageId: string }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const { data } = useQuery(submissionQueries.ofPage(pageId))
  if (!data || data.submissions.length + data.feedback.length === 0) return null
  const last = data.feedback.slice(-1)
  const earlier = data.feedback.slice(0, -1)
  const nameOfPart = () => t('page.thisPage')
  return (
    <section className={styles.answers} aria-labelledby="answers">
      <h2 id="answers">{t(data.submissions.length > 0 ? 'page.handedIn' : 'feedback.title')}</h2>
      {data.submissions.length === 0 ? null : (
        <ul>
          {data.submissions.filter(isLatest).map((row) => (
            <li key={row.id}>
              <Link component={RouterLink} to={`/submissions/${row.id}`}>
                {words.title(row.title)}
              </Link>
              <p>
                <StateMark row={row} /> {row.level ? <LevelMark received={row.level} /> : null}{' '}
                <NumberMark number={row.number} />
              </p>
            </li>
          ))}
        </ul>
      )}
      {earlier.length === 0 ? null : (
        <details>
          <summary>{t('page.earlier', { count: earlier.length })}</summary>
          <FeedbackThread items={earlier} nameOfPart={nameOfPart} />
        </details>
      )}
      <FeedbackThread items={last} nameOfPart={nameOfPart} />
    </section>
  )
}

/** What was handed in again since is found from the later one. */
function isLatest({ state }: SubmissionRow): boolean {
  return state !== 'replaced'
}
