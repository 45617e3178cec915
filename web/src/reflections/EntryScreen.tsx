// One entry: what did I learn? Words, and beside them the evidence they are about.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { InBin } from '../bin/index.ts'
import { EntryEditor } from './EntryEditor.tsx'
import { reflectionQueries } from './queries.ts'

export function EntryScreen() {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const entry = useQuery(reflectionQueries.entry(id))
  if (entry.data?.binnedAt === null) return <EntryEditor key={id} entry={entry.data} />
  return (
    <Screen
      place={t('places.logbooks')}
      parent={t('stops.gather')}
      within="logbooks"
      sentence={t('places.logbooks')}
    >
      <Fetched query={entry}>{(binned) => <InBin kind="entry" id={binned.id} />}</Fetched>
    </Screen>
  )
}
