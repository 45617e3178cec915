// One's own copy of a guide: what is open, what is to be done in it, and how it will be read.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { InBin } from '../bin/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { GuideCopyEditor } from './GuideCopyEditor.tsx'
import { guideQueries } from './queries.ts'

export function GuideCopyScreen() {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const copy = useQuery(guideQueries.copy(id))
  if (copy.data?.binnedAt === null) return <GuideCopyEditor key={id} copy={copy.data} />
  return (
    <Screen place={t('places.guides')} within="guides" sentence={t('places.guides')}>
      <Fetched query={copy}>{(binned) => <InBin kind="guideCopy" id={binned.id} />}</Fetched>
    </Screen>
  )
}
