// For which class it was made; asked only of those who are in more than one.
import { IconUsersGroup } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { useSession } from '../../session/index.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { ClauseProps, QueryClauseProps } from './QuerySentence.tsx'
import { RemovableClause } from './RemovableClause.tsx'
import styles from './QuerySentence.module.css'

export function ClassClause({ query: { classId }, onChange, end }: ClauseProps) {
  const { t } = useTranslation('evidence')
  const { memberships } = useSession()
  if (classId === null) return null
  const name = memberships.find((one) => one.classId === classId)?.className ?? '?'
  const words = t('query.forClass', { name })
  return (
    <>
      {' '}
      <RemovableClause
        label={t('query.takeClassOff', { words })}
        end={end}
        onRemove={() => onChange({ classId: null })}
      >
        {words}
      </RemovableClause>
    </>
  )
}

export function ClassMenu({ query, onChange }: Pick<QueryClauseProps, 'query' | 'onChange'>) {
  const { t } = useTranslation('evidence')
  const { memberships } = useSession()
  if (memberships.length < 2) return null
  return (
    <QueryMenu
      words={t('query.anyClass')}
      icon={<IconUsersGroup size={17} stroke={1.7} />}
      label={t('query.class')}
    >
      {(close) => (
        <ul className={styles.choices}>
          {[{ classId: null, className: t('query.anyClassAlone') }, ...memberships].map(
            ({ classId, className }) => (
              <li key={classId ?? ''}>
                <button
                  type="button"
                  aria-pressed={classId === query.classId}
                  onClick={() => {
                    onChange({ classId })
                    close()
                  }}
                >
                  {className}
                </button>
              </li>
            ),
          )}
        </ul>
      )}
    </QueryMenu>
  )
}
