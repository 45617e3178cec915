// Beginning an entry from wherever one is: which logbook, along which questions, and with which evidence beside it.
import Button from '@mui/material/Button'
import { useQueries, useQuery } from '@tanstack/react-query'
import type { LogbookRow } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useSearchParams } from 'react-router'
import { evidenceQueries, Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import { useToday } from '../session/index.ts'
import { SheetField } from '../sheets/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { LogbookCover } from './LogbookCover.tsx'
import { reflectionQueries, useCreateEntry, useCreateLogbook } from './queries.ts'
import styles from './Reflections.module.css'

export function NewEntryScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const logbooks = useQuery(reflectionQueries.logbooks())
  const [params] = useSearchParams()
  const about = params.get('about')?.split(',') ?? []
  return (
    <Screen
      place={t('entries.new')}
      parent={t('app:places.logbooks')}
      within="logbooks"
      sentence={t(about.length > 0 ? 'begin.aboutSentence' : 'begin.sentence')}
    >
      <About ids={about} />
      <Fetched query={logbooks}>{(list) => <Begin logbooks={list} about={about} />}</Fetched>
    </Screen>
  )
}

/** The evidence that the entry begins with. */
function About({ ids }: { readonly ids: readonly string[] }) {
  const words = useEvidenceWords()
  const items = useQueries({ queries: ids.map((id) => evidenceQueries.one(id)) })
  const there = items.flatMap(({ data }) => data ?? [])
  if (there.length === 0) return null
  return (
    <ul className={styles.about}>
      {there.map((item) => (
        <li key={item.id}>
          <span>
            <Thumbnail item={item} />
          </span>
          <b>{words.title(item)}</b>
        </li>
      ))}
    </ul>
  )
}

interface BeginProps {
  readonly logbooks: readonly LogbookRow[]
  readonly about: readonly string[]
}

function Begin({ logbooks, about }: BeginProps) {
  const { t } = useTranslation('reflections')
  const { logbook, setLogbookId, sheetId, setSheetId, begin, isPending, error } = useBegin(logbooks, about)
  return (
    <div className={styles.begin}>
      {logbooks.length === 0 ? (
        <p>{t('begin.noLogbook')}</p>
      ) : (
        <fieldset className={styles.logbookChoices}>
          <legend>{t('begin.logbook')}</legend>
          {logbooks.map((one) => (
            <label key={one.id} data-chosen={one.id === logbook?.id}>
              <input
                type="radio"
                name="logbook"
                checked={one.id === logbook?.id}
                onChange={() => setLogbookId(one.id)}
              />
              <LogbookCover logbook={one} />
              <b>{one.title}</b>
              <small>{t('logbooks.entries', { count: one.entries })}</small>
            </label>
          ))}
        </fieldset>
      )}
      <SheetField label={t('entry.sheet')} value={sheetId} onChange={setSheetId} />
      <Refusal error={error} />
      <Button variant="contained" color="primary" loading={isPending} onClick={() => void begin()}>
        {t('begin.begin')}
      </Button>
    </div>
  )
}

function useBegin(logbooks: readonly LogbookRow[], about: readonly string[]) {
  const { t, i18n } = useTranslation('reflections')
  const navigate = useNavigate()
  const today = useToday()
  const [keys] = useState(() => ({ logbook: crypto.randomUUID(), entry: crypto.randomUUID() }))
  const [logbookId, setLogbookId] = useState<string | null>(null)
  const [sheet, setSheetId] = useState<string | null>(null)
  const create = useCreateEntry()
  const createLogbook = useCreateLogbook()
  // The one that was written in last is the likeliest.
  const latest = [...logbooks].sort((a, b) => (b.lastDay ?? '').localeCompare(a.lastDay ?? ''))[0]
  const logbook = logbooks.find(({ id }) => id === logbookId) ?? latest
  const sheetId = sheet ?? logbook?.usualSheetId ?? ''
  const begin = async () => {
    const into =
      logbook ?? (await createLogbook.mutateAsync({ title: t('begin.firstLogbook'), key: keys.logbook }))
    create.mutate(
      {
        ...{ logbookId: into.id, day: today, title: '', key: keys.entry },
        ...{ sheetId: sheetId || null, about: [...about] },
        lang: i18n.language === 'es' ? 'es' : 'en',
      },
      { onSuccess: ({ id }) => void navigate(`/entries/${id}`, { replace: true }) },
    )
  }
  const isPending = create.isPending || createLogbook.isPending
  const error = create.error ?? createLogbook.error
  return { logbook, setLogbookId, sheetId, setSheetId, begin, isPending, error }
}
