// The screen of the picture bench: one picture with its recipe.
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { evidenceQueries } from '../../evidence/base/index.ts'
import { Fetched } from '../../ui/Fetched.tsx'
import { setPlace } from '../../ui/place.ts'
import { Bench } from './Bench.tsx'
import { recipeQueries } from './queries.ts'

export function BenchScreen() {
  const { id = '' } = useParams()
  const item = useQuery(evidenceQueries.one(id))
  return <Fetched query={item}>{(found) => <OfPicture key={found.id} item={found} />}</Fetched>
}

function OfPicture({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation(['bench', 'app'])
  const parent = item.title === '' ? t('app:places.evidence') : `${t('app:places.evidence')}, ${item.title}`
  const title = item.title === '' ? t('place') : `${item.title}, ${t('place')}`
  useEffect(() => setPlace({ name: t('place'), parent, title, within: 'evidence' }), [t, parent, title])
  const recipe = useQuery(recipeQueries.one({ id: item.id, n: item.version.n }))
  // Another version is another document: what is on the bench belongs to the one that was opened.
  return (
    <Fetched query={recipe}>
      {(saved) => <Bench key={`${item.id} ${item.version.n}`} item={item} saved={saved} />}
    </Fetched>
  )
}
