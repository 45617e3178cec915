// One logbook: its entries by their days, found again by words, tags, days and questions, or read one after the other.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { IconAdjustments, IconPlus } from '@tabler/icons-react'
import { LONGEST_LOGBOOK_TITLE } from '@valise/core/reflections'
import type { Logbook } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useParams } from 'react-router'
import { ApiProblem } from '../api/index.ts'
import { EvidenceUses } from '../evidence/item/index.ts'
import { thingQueries } from '../things/index.ts'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { MissingScreen } from '../ui/MissingScreen.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { useToday } from '../session/index.ts'
import { EntryFilters } from './EntryFilters.tsx'
import { EntryLines } from './EntryLines.tsx'
import { LogbookDetails } from './LogbookDetails.tsx'
import { useLogbookFacts } from './LogbooksScreen.tsx'
import { ReadThrough } from './ReadThrough.tsx'
import { StripOfDays } from './StripOfDays.tsx'
import { reflectionQueries, useChangeLogbook, useCreateEntry } from './queries.ts'
import { useEntryWish } from './useEntryWish.ts'
import styles from './Reflections.module.css'

export function LogbookScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const { id = '' } = useParams()
  const logbook = useQuery(reflectionQueries.logbook(id))
  if (logbook.error instanceof ApiProblem && logbook.error.code === 'not-found') return <MissingScreen />
  const { data } = logbook
  return (
    <Screen
      place={data?.title ?? t('app:places.logbooks')}
      parent={t('app:places.logbooks')}
      sentence={data ? <Title key={id} logbook={data} /> : t('app:places.logbooks')}
      lead={data ? <Lead logbook={data} /> : null}
      act={data ? <Acts logbook={data} /> : null}
    >
      {data ? <Entries key={id} logbook={data} /> : null}
      {data ? <StandsOn id={id} /> : null}
    </Screen>
  )
}

function Lead({ logbook }: { readonly logbook: Logbook }) {
  const facts = useLogbookFacts(logbook)
  return [logbook.summary, ...facts].filter((words) => words !== '').join(' · ')
}

function Entries({ logbook }: { readonly logbook: Logbook }) {
  const today = useToday()
  const { wish, isNarrowed, isReading, change } = useEntryWish(logbook.id)
  const [until, setUntil] = useState(today)
  const facets = useQuery(reflectionQueries.facets(logbook.id, until))
  if (logbook.entries === 0) return <EntryLines wish={wish} isNarrowed={false} />
  return (
    <>
      <StripOfDays
        facets={facets.data ?? null}
        until={until}
        chosen={wish.from !== undefined && wish.from === wish.until ? wish.from : null}
        onUntil={setUntil}
        onDay={(day) => change({ from: day, until: day })}
      />
      <EntryFilters
        wish={wish}
        facets={facets.data ?? null}
        isNarrowed={isNarrowed}
        isReading={isReading}
        onChange={change}
      />
      {isReading ? <ReadThrough wish={wish} /> : <EntryLines wish={wish} isNarrowed={isNarrowed} />}
    </>
  )
}

/** The pages that show the logbook. */
function StandsOn({ id }: { readonly id: string }) {
  const { t } = useTranslation('reflections')
  const { data: uses = [] } = useQuery(thingQueries.uses(id))
  if (uses.length === 0) return null
  return (
    <section className={styles.standsOn}>
      <h2>{t('logbook.standsOn')}</h2>
      <EvidenceUses id={id} />
    </section>
  )
}

function Title({ logbook }: { readonly logbook: Logbook }) {
  const { t } = useTranslation('reflections')
  const change = useChangeLogbook(logbook)
  const saved = useSavedText(logbook.title, (title) => title.trim() !== '' && change.mutate({ title }))
  return (
    <>
      <InlineTitle
        label={t('logbooks.newTitle')}
        most={LONGEST_LOGBOOK_TITLE}
        value={saved.text}
        onChange={saved.change}
        onBlur={saved.leave}
      />
      <Refusal error={change.error} />
    </>
  )
}

function Acts({ logbook }: { readonly logbook: Logbook }) {
  const { t, i18n } = useTranslation('reflections')
  const navigate = useNavigate()
  const today = useToday()
  const [key] = useState(() => crypto.randomUUID())
  const [isSetting, setIsSetting] = useState(false)
  const create = useCreateEntry()
  const { id: logbookId, usualSheetId } = logbook
  const onNew = () =>
    create.mutate(
      {
        ...{ logbookId, day: today, title: '', sheetId: usualSheetId, key },
        lang: i18n.language === 'es' ? 'es' : 'en',
      },
      { onSuccess: ({ id }) => void navigate(`/entries/${id}`) },
    )
  return (
    <div className={styles.acts}>
      <Button startIcon={<IconAdjustments size={18} stroke={1.7} />} onClick={() => setIsSetting(true)}>
        {t('logbook.edit')}
      </Button>
      <Button
        variant="contained"
        color="primary"
        loading={create.isPending}
        startIcon={<IconPlus size={18} stroke={1.7} />}
        onClick={onNew}
      >
        {t('entries.new')}
      </Button>
      <Refusal error={create.error} />
      {isSetting ? <LogbookDetails logbook={logbook} onClose={() => setIsSetting(false)} /> : null}
    </div>
  )
}
