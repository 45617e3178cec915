// One collection: for its author to arrange, for others to read. The address is the same.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useParams, useSearchParams } from 'react-router'
import { ReadCollection } from '../access/index.ts'
import { ApiProblem } from '../api/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { InBin } from '../bin/index.ts'
import { CollectionEditor } from './CollectionEditor.tsx'
import { collectionQueries } from './queries.ts'

export function CollectionScreen() {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const [search] = useSearchParams()
  const own = useQuery(collectionQueries.one(id))
  if (own.data && search.has('read')) return <ReadCollection key={id} id={id} />
  if (own.data?.binnedAt === null) return <CollectionEditor key={id} collection={own.data} />
  if (own.error instanceof ApiProblem && own.error.code === 'not-found')
    return <ReadCollection key={id} id={id} />
  return (
    <Screen place={t('places.collections')} parent={t('stops.arrange')} sentence={t('places.collections')}>
      <Fetched query={own}>{(binned) => <InBin kind="collection" id={binned.id} />}</Fetched>
    </Screen>
  )
}
