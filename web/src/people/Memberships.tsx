// The classes of a person, from when until when, and the way into another one.
import Button from '@mui/material/Button'
import type { Membership, Person } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import { MembershipDialog } from './MembershipDialog.tsx'
import styles from './Memberships.module.css'

interface MembershipsProps {
  readonly person: Person
  readonly memberships: readonly Membership[]
}

export function Memberships({ person, memberships }: MembershipsProps) {
  const { t } = useTranslation(['people', 'things'])
  const [edited, setEdited] = useState<Membership | 'new' | null>(null)
  return (
    <>
      {memberships.length === 0 ? <p className={styles.empty}>{t('detail.noMemberships')}</p> : null}
      <ul className={styles.list}>
        {memberships.map((membership) => (
          <li key={membership.id}>
            <span>
              <b>{membership.className}</b>, {t(`things:roles.${membership.role}`)}
            </span>
            <Days membership={membership} />
            <Button
              onClick={() => setEdited(membership)}
              aria-label={`${t('detail.edit')}: ${membership.className}, ${t(`things:roles.${membership.role}`)}`}
            >
              {t('detail.edit')}
            </Button>
          </li>
        ))}
      </ul>
      {person.endedAt === null ? <Button onClick={() => setEdited('new')}>{t('detail.join')}</Button> : null}
      {edited === null ? null : (
        <MembershipDialog
          person={person}
          changed={edited === 'new' ? null : edited}
          onClose={() => setEdited(null)}
        />
      )}
    </>
  )
}

function Days({ membership }: { readonly membership: Membership }) {
  const { t } = useTranslation(['people', 'things'])
  const when = useWhen()
  const { firstDay, lastDay, state } = membership
  const words = [
    firstDay === null ? null : t('detail.from', { day: when.localDay(firstDay) }),
    lastDay === null ? t('detail.open') : t('detail.until', { day: when.localDay(lastDay) }),
  ].filter((words) => words !== null)
  return (
    <span className={styles.days} data-state={state}>
      {words.join(', ')}
      {state === 'running' ? null : <b>{state === 'ended' ? t('detail.endedState') : t('detail.toCome')}</b>}
    </span>
  )
}
