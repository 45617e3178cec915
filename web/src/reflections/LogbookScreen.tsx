// One logbook: its entries by their days, the newest first.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { IconPlus } from '@tabler/icons-react'
import { LONGEST_LOGBOOK_TITLE } from '@valise/core/reflections'
import type { EntryRow, Logbook } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate, useParams } from 'react-router'
import { ApiProblem } from '../api/index.ts'
import { MissingScreen } from '../ui/MissingScreen.tsx'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { InlineTitle } from '../ui/InlineTitle.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useSavedText } from '../ui/useSavedText.ts'
import { useWhen } from '../ui/useWhen.ts'
import { useToday } from '../session/index.ts'
import { reflectionQueries, useCreateEntry, useRenameLogbook } from './queries.ts'
import styles from './Reflections.module.css'

export function LogbookScreen() {
  const { t } = useTranslation(['reflections', 'app'])
  const { id = '' } = useParams()
  const logbook = useQuery(reflectionQueries.logbook(id))
  const entries = useInfiniteQuery(reflectionQueries.entries(id))
  if (logbook.error instanceof ApiProblem && logbook.error.code === 'not-found') return <MissingScreen />
  const items = entries.data?.pages.flatMap((page) => page.items) ?? []
  return (
    <Screen
      place={logbook.data?.title ?? t('app:places.logbooks')}
      parent={t('app:places.logbooks')}
      sentence={logbook.data ? <Title key={id} logbook={logbook.data} /> : t('app:places.logbooks')}
      act={<NewEntry logbookId={id} />}
    >
      <Fetched query={entries}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('entries.empty')}</Empty>
          ) : (
            <ol className={styles.entries}>
              {items.map((entry) => (
                <EntryLine key={entry.id} entry={entry} />
              ))}
            </ol>
          )
        }
      </Fetched>
      <MoreButton query={entries} />
    </Screen>
  )
}

function EntryLine({ entry }: { readonly entry: EntryRow }) {
  const { t } = useTranslation('reflections')
  const when = useWhen()
  const counts = [
    t('entries.words', { count: entry.words }),
    ...(entry.evidence > 0 ? [t('entries.evidence', { count: entry.evidence })] : []),
  ]
  return (
    <li>
      <time dateTime={entry.day}>{when.localDay(entry.day)}</time>
      <div>
        <Link component={RouterLink} to={`/entries/${entry.id}`}>
          {entry.title || t('entries.untitled')}
        </Link>
        <p>{entry.beginning}</p>
        <small>{counts.join(', ')}</small>
      </div>
    </li>
  )
}

function Title({ logbook }: { readonly logbook: Logbook }) {
  const { t } = useTranslation('reflections')
  const rename = useRenameLogbook(logbook)
  const saved = useSavedText(logbook.title, (title) => title.trim() !== '' && rename.mutate(title))
  return (
    <>
      <InlineTitle
        label={t('logbooks.newTitle')}
        most={LONGEST_LOGBOOK_TITLE}
        value={saved.text}
        onChange={saved.change}
        onBlur={saved.leave}
      />
      <Refusal error={rename.error} />
    </>
  )
}

function NewEntry({ logbookId }: { readonly logbookId: string }) {
  const { t, i18n } = useTranslation('reflections')
  const navigate = useNavigate()
  const today = useToday()
  const [key] = useState(() => crypto.randomUUID())
  const create = useCreateEntry(logbookId)
  const onNew = () =>
    create.mutate(
      { day: today, title: '', lang: i18n.language === 'es' ? 'es' : 'en', key },
      { onSuccess: ({ id }) => void navigate(`/entries/${id}`) },
    )
  return (
    <div>
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
    </div>
  )
}
