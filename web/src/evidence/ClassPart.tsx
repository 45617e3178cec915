// For which class it was made; said only to those who are in more than one, or who look at one.
import { useTranslation } from 'react-i18next'
import { useSession } from '../people/useSession.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { QueryPartProps } from './QuerySentence.tsx'
import styles from './QuerySentence.module.css'

export function ClassPart({ query, onChange }: QueryPartProps) {
  const { t } = useTranslation('evidence')
  const { memberships } = useSession()
  const name = memberships.find(({ classId }) => classId === query.classId)?.className
  if (memberships.length < 2 && query.classId === null) return null
  return (
    <>
      {' '}
      <QueryMenu
        words={query.classId === null ? t('query.anyClass') : t('query.forClass', { name: name ?? '?' })}
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
    </>
  )
}
