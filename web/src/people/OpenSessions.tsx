// Where one is signed in, and the way out of each place.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { sessionQueries, useEndSessions } from '../session/index.ts'
import styles from './SettingsScreen.module.css'

export function OpenSessions() {
  const { t } = useTranslation('people')
  const sessions = useQuery(sessionQueries.all())
  const end = useEndSessions()
  const when = useWhen()
  return (
    <Fetched query={sessions}>
      {(list) => (
        <>
          <ul className={styles.sessions}>
            {list.map((session) => (
              <li key={session.id}>
                <span>
                  {session.device === '' ? t('settings.unknownDevice') : session.device}
                  <small>
                    {session.here
                      ? t('settings.here')
                      : t('settings.seen', { when: when.dayTime(session.lastSeenAt) })}
                  </small>
                </span>
                {session.here ? null : (
                  <Button disabled={end.isPending} onClick={() => end.mutate(session.id)}>
                    {t('settings.signOutThere')}
                  </Button>
                )}
              </li>
            ))}
          </ul>
          <Refusal error={end.error} />
          {list.length > 1 ? (
            <Button disabled={end.isPending} onClick={() => end.mutate(null)}>
              {t('settings.signOutElsewhere')}
            </Button>
          ) : (
            <p>{t('settings.onlyHere')}</p>
          )}
        </>
      )}
    </Fetched>
  )
}
