// One assignment: its students hand in here, its assessors change it. The address is the same.
import { useQuery } from '@tanstack/react-query'
import { isAssessorRole } from '@valise/core/people'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { useSession } from '../session/index.ts'
import { Fetched, Loading } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SubmitScreen } from '../submissions/index.ts'
import { assignmentQueries } from './queries.ts'

const AssignmentForm = lazy(async () => ({ default: (await import('./AssignmentForm.tsx')).AssignmentForm }))

export function AssignmentScreen() {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const { memberships } = useSession()
  const assignment = useQuery(assignmentQueries.one(id))
  if (!assignment.data)
    return (
      <Screen place={t('places.assignments')} sentence={t('places.assignments')}>
        <Fetched query={assignment}>{() => null}</Fetched>
      </Screen>
    )
  const { classId } = assignment.data
  const assesses = memberships.some((one) => one.classId === classId && isAssessorRole(one.role))
  if (!assesses) return <SubmitScreen key={id} id={id} />
  return (
    <Suspense fallback={<Loading />}>
      <AssignmentForm assignment={assignment.data} />
    </Suspense>
  )
}
