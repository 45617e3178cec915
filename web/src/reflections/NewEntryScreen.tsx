// Beginning an entry from wherever one is: which logbook, along which questions, and with which evidence beside it.
import Button from '@mui/material/Button'
import { useQueries, useQuery } from '@tanstack/react-query'
import type { LogbookRow, NewEntry } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useSearchParams } from 'react-router'
import { evidenceQueries, Thumbnail, useEvidenceWords } from '../evidence/base/index.ts'
import { useToday } from '../session/index.ts'
import { SheetField } from '../sheets/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { AttributeTicks } from './AttributeTicks.tsx'
import { LogbookCover } from './LogbookCover.tsx'
import { reflectionQueries, useCreateEntry, useCreateLogbook } from './queries.ts'
import styles from './Reflections.module.css'

export function NewEntryScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const logbooks = useQuery(reflectionQueries.logbooks())
  const [params] = useSearchParams()
  const about = params.get('about')?.split(',') ?? []
  const rateSetId = params.get('rate')
  const sentence = rateSetId
    ? 'begin.rateSentence'
    : about.length > 0
      ? 'begin.aboutSentence'
      : 'begin.sentence'
  return (
    <Screen
      place={t('entries.new')}
      parent={t('app:places.logbooks')}
      within="logbooks"
      sentence={t(sentence)}
    >
      <About ids={about} />
      <Fetched query={logbooks}>
        {(list) => <Begin logbooks={list} about={about} rateSetId={rateSetId} />}
      </Fetched>
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
  /** The set of attributes that one rates oneself by; null for an entry without ratings. */
  readonly rateSetId: string | null
}

function Begin({ logbooks, about, rateSetId }: BeginProps) {
  const { t } = useTranslation('reflections')
  const [attributeIds, setAttributeIds] = useState<readonly string[] | null>(null)
  const rates = rateSetId === null ? null : { setId: rateSetId, attributeIds: [...(attributeIds ?? [])] }
  const { logbook, setLogbookId, sheetId, setSheetId, begin, isPending, error } = useBegin(logbooks, {
    about,
    rates,
  })
  return (
    <div className={styles.begin}>
      {rateSetId === null ? null : (
        <AttributeTicks setId={rateSetId} value={attributeIds} onChange={setAttributeIds} />
      )}
      {logbooks.length === 0 ? (
        <p>{t('begin.noLogbook')}</p>
      ) : rateSetId !== null ? (
        <SelectField
          label={t('begin.logbook')}
          value={logbook?.id ?? ''}
          choices={logbooks.map(({ id, title }) => [id, title] as const)}
          onChange={setLogbookId}
          sx={{ minWidth: 240 }}
        />
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
      <Button
        variant="contained"
        color="primary"
        loading={isPending}
        disabled={attributeIds?.length === 0}
        onClick={() => void begin()}
      >
        {t('begin.begin')}
      </Button>
    </div>
  )
}

interface BeginWith {
  readonly about: readonly string[]
  readonly rates: NonNullable<NewEntry['rates']> | null
}

function useBegin(logbooks: readonly LogbookRow[], { about, rates }: BeginWith) {
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
  // Whoever rates themselves is asked about the attributes, and about more only if they wish.
  const sheetId = sheet ?? (rates ? '' : (logbook?.usualSheetId ?? ''))
  const begin = async () => {
    const into =
      logbook ?? (await createLogbook.mutateAsync({ title: t('begin.firstLogbook'), key: keys.logbook }))
    create.mutate(
      {
        ...{ logbookId: into.id, day: today, title: '', key: keys.entry },
        ...{ sheetId: sheetId || null, about: [...about], ...(rates && { rates }) },
        lang: i18n.language === 'es' ? 'es' : 'en',
      },
      { onSuccess: ({ id }) => void navigate(`/entries/${id}`, { replace: true }) },
    )
  }
  const isPending = create.isPending || createLogbook.isPending
  const error = create.error ?? createLogbook.error
  return { logbook, setLogbookId, sheetId, setSheetId, begin, isPending, error }
}
