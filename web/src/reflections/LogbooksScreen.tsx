// My logbooks: what have I been thinking about, and when did I last write?
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { textIn } from '@valise/core/people'
import { LONGEST_LOGBOOK_TITLE } from '@valise/core/reflections'
import type { LogbookRow } from '@valise/core/reflections'
import { useState } from 'react'
import type { FormEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { useSession } from '../session/index.ts'
import { sheetQueries } from '../sheets/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { LogbookCover } from './LogbookCover.tsx'
import { reflectionQueries, useCreateLogbook } from './queries.ts'
import styles from './Reflections.module.css'

export function LogbooksScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const logbooks = useQuery(reflectionQueries.logbooks())
  return (
    <Screen
      place={t('app:places.logbooks')}
      parent={t('app:stops.gather')}
      sentence={
        logbooks.data ? t('logbooks.sentence', { count: logbooks.data.length }) : t('app:places.logbooks')
      }
      act={
        <Link component={RouterLink} to="/sheets">
          {t('logbooks.sheets')}
        </Link>
      }
    >
      <Fetched query={logbooks}>
        {(list) => (
          <>
            {list.length === 0 ? (
              <Empty>{t('logbooks.empty')}</Empty>
            ) : (
              <ul className={styles.list}>
                {list.map((logbook) => (
                  <LogbookLine key={logbook.id} logbook={logbook} />
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

function LogbookLine({ logbook }: { readonly logbook: LogbookRow }) {
  const { t } = useTranslation('reflections')
  const when = useWhen()
  const facts = useLogbookFacts(logbook)
  const { id, title, summary, entries, lastDay } = logbook
  return (
    <li>
      <LogbookCover logbook={logbook} />
      <div>
        <Link component={RouterLink} to={`/logbooks/${id}`}>
          {title}
        </Link>
        {summary === '' ? null : <p>{summary}</p>}
        {facts.length > 0 ? <small>{facts.join(', ')}</small> : null}
      </div>
      <div>
        <span>{t('logbooks.entries', { count: entries })}</span>
        <span>{lastDay === null ? '' : t('logbooks.last', { day: when.localDay(lastDay) })}</span>
      </div>
    </li>
  )
}

/** The class and the usual questions of a logbook, in words. */
export function useLogbookFacts({ classId, usualSheetId }: LogbookRow): string[] {
  const { t, i18n } = useTranslation('reflections')
  const { memberships } = useSession()
  const { data: sheets = [] } = useQuery({ ...sheetQueries.list(), enabled: usualSheetId !== null })
  const className = memberships.find((one) => one.classId === classId)?.className
  const sheet = sheets.find(({ id }) => id === usualSheetId)
  return [
    ...(className === undefined ? [] : [className]),
    ...(sheet ? [t('logbooks.along', { title: textIn(sheet.title, i18n.language) })] : []),
  ]
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
