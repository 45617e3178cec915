// The review desk: what waits for me? Begins with the assignment whose oldest hand-in came first.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Navigate, useParams } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { submissionQueries } from './queries.ts'
import { ReviewDesk } from './ReviewDesk.tsx'

export function ReviewDeskScreen() {
  const { t } = useTranslation(['desk', 'app'])
  const { assignmentId } = useParams()
  const reading = useQuery({ ...submissionQueries.reading(), enabled: assignmentId === undefined })
  if (assignmentId !== undefined) return <ReviewDesk assignmentId={assignmentId} submissionId={null} />
  const [first] = reading.data ?? []
  if (first)
    return <Navigate to={`/review-desk/${first.assignmentId}`} replace state={{ isPutRight: true }} />
  return (
    <Screen
      place={t('app:places.desk')}
      parent={t('app:stops.read')}
      sentence={reading.data ? t('nothing') : t('app:places.desk')}
    >
      <Fetched query={reading}>{() => <Empty>{t('nothingHint')}</Empty>}</Fetched>
    </Screen>
  )
}
