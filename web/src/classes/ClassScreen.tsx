// One class: who is in it, by the names that others see.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { RosterMember } from '@valise/core/classes'
import { isAssessorRole } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useParams } from 'react-router'
import { MissingScreen } from '../ui/MissingScreen.tsx'
import { ApiProblem } from '../api/index.ts'
import { useSession } from '../session/index.ts'
import { Avatar } from '../ui/Avatar.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { classQueries } from './queries.ts'
import styles from './ClassScreen.module.css'

export function ClassScreen() {
  const { t } = useTranslation(['classes', 'app'])
  const { id = '' } = useParams()
  const detail = useQuery(classQueries.one(id))
  if (detail.error instanceof ApiProblem && detail.error.code === 'not-found') return <MissingScreen />
  const one = detail.data?.class
  return (
    <Screen
      place={one?.name ?? t('app:places.class')}
      {...(one && { parent: t('one.kind', { code: one.code }) })}
      sentence={one ? t('one.title', { name: one.name }) : t('app:places.class')}
      lead={t('one.names')}
    >
      <Fetched query={detail}>{({ members }) => <Roster members={members} />}</Fetched>
      <OtherClasses currentId={id} />
    </Screen>
  )
}

function Roster({ members }: { readonly members: readonly RosterMember[] }) {
  const { t } = useTranslation('classes')
  const assessors = members.filter(({ role }) => isAssessorRole(role))
  const students = members.filter(({ role }) => !isAssessorRole(role))
  return (
    <>
      <h2 className={styles.heading}>{t('one.assessors')}</h2>
      <Members members={assessors} kind="staff" empty={t('one.noAssessors')} />
      <h2 className={styles.heading}>
        {t('one.students')} <small>{students.length > 0 ? students.length : ''}</small>
      </h2>
      <Members members={students} kind="student" empty={t('one.noStudents')} />
    </>
  )
}

interface MembersProps {
  readonly members: readonly RosterMember[]
  readonly kind: 'student' | 'staff'
  readonly empty: string
}

function Members({ members, kind, empty }: MembersProps) {
  const { t } = useTranslation(['classes', 'things'])
  if (members.length === 0) return <p className={styles.empty}>{empty}</p>
  return (
    <ul className={styles.members}>
      {members.map((member) => (
        <li key={`${member.personId}-${member.role}`}>
          <Avatar name={member.shownName} kind={kind} />
          <span>
            {member.me ? t('one.you', { name: member.shownName }) : member.shownName}
            {member.role === 'lead' ? <small> {t('things:roles.lead')}</small> : null}
          </span>
        </li>
      ))}
    </ul>
  )
}

/** Several classes: always visible which one is in view, and the others one click away. */
function OtherClasses({ currentId }: { readonly currentId: string }) {
  const { t } = useTranslation('classes')
  const others = useSession().memberships.filter(({ classId }) => classId !== currentId)
  if (others.length === 0) return null
  return (
    <nav className={styles.others} aria-label={t('one.other')}>
      <h2 className={styles.heading}>{t('one.other')}</h2>
      {others.map(({ classId, className, classCode, role }) => (
        <Link key={`${classId}-${role}`} component={RouterLink} to={`/classes/${classId}`}>
          {className}, {classCode}
        </Link>
      ))}
    </nav>
  )
}
