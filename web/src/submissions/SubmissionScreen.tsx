// One hand-in. Its student sees the receipt and what became of it; an assessor of the class sees it on the review desk.
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams, useSearchParams } from 'react-router'
import { Fetched, Loading } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { needWords } from '../words/i18n.ts'
import { OwnSubmission } from './OwnSubmission.tsx'
import { submissionQueries } from './queries.ts'

const ReviewDesk = lazy(async () => {
  await needWords('desk')
  return { default: (await import('./ReviewDesk.tsx')).ReviewDesk }
})

export function SubmissionScreen() {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const [search] = useSearchParams()
  const isInQueueOfAll = search.get('queue') === 'all'
  // An assessor who goes to the next copy keeps the queue while it is fetched.
  const submission = useQuery({ ...submissionQueries.one(id), placeholderData: keepPreviousData })
  const isNext = submission.isPlaceholderData
  if (submission.data && !(isNext && submission.data.isMine))
    return submission.data.isMine ? (
      <OwnSubmission key={id} submission={submission.data} />
    ) : (
      <Suspense fallback={<Loading />}>
        <ReviewDesk
          assignmentId={isInQueueOfAll ? null : submission.data.assignmentId}
          submissionId={id}
          firstShelf={submission.data.state === 'with-assessor' ? 'to-read' : 'read'}
        />
      </Suspense>
    )
  return (
    <Screen place={t('places.submissions')} sentence={t('places.submissions')}>
      <Fetched query={submission}>{() => null}</Fetched>
    </Screen>
  )
}
