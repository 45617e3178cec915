// My logbooks: what have I been thinking about, and when did I last write?
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { LONGEST_LOGBOOK_TITLE } from '@valise/core/reflections'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { reflectionQueries, useCreateLogbook } from './queries.ts'
import styles from './Reflections.module.css'

export function LogbooksScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const when = useWhen()
  const logbooks = useQuery(reflectionQueries.logbooks())
  return (
    <Screen
      place={t('app:places.logbooks')}
      parent={t('app:stops.gather')}
      sentence={
        logbooks.data ? t('logbooks.sentence', { count: logbooks.data.length }) : t('app:places.logbooks')
      }
    >
      <Fetched query={logbooks}>
        {(list) => (
          <>
            {list.length === 0 ? (
              <Empty>{t('logbooks.empty')}</Empty>
            ) : (
              <ul className={styles.list}>
                {list.map(({ id, title, entries, lastDay }) => (
                  <li key={id}>
                    <Link component={RouterLink} to={`/logbooks/${id}`}>
                      {title}
                    </Link>
                    <span>{t('logbooks.entries', { count: entries })}</span>
                    <span>{lastDay === null ? '' : t('logbooks.last', { day: when.localDay(lastDay) })}</span>
                  </li>
                ))}
              </ul>
            )}
            <NewLogbook />
          </>
        )}
      </Fetched>
    </Screen>
  )
}

function NewLogbook() {
  const { t } = useTranslation('reflections')
  const navigate = useNavigate()
  const [title, setTitle] = useState('')
  const [key] = useState(() => crypto.randomUUID())
  const create = useCreateLogbook()
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    create.mutate({ title, key }, { onSuccess: ({ id }) => void navigate(`/logbooks/${id}`) })
  }
  return (
    <form className={styles.new} onSubmit={onSubmit}>
      <TextField
        label={t('logbooks.newTitle')}
        placeholder={t('logbooks.newHint')}
        size="small"
        required
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_LOGBOOK_TITLE } }}
      />
      <Button type="submit" loading={create.isPending}>
        {t('logbooks.new')}
      </Button>
      <Refusal error={create.error} />
    </form>
  )
}
