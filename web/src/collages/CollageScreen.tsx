// The screen of a collage: the item with its board.
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { evidenceQueries, useEvidenceWords } from '../evidence/base/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { setPlace } from '../ui/place.ts'
import { CollageEditor } from './CollageEditor.tsx'
import { collageQueries } from './queries.ts'

export function CollageScreen() {
  const { id = '' } = useParams()
  const item = useQuery(evidenceQueries.one(id))
  return <Fetched query={item}>{(found) => <OfItem key={found.id} item={found} />}</Fetched>
}

function OfItem({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation(['collage', 'app'])
  const words = useEvidenceWords()
  const parent = `${t('app:places.evidence')}, ${words.title(item)}`
  const title = `${words.title(item)}, ${t('place')}`
  useEffect(() => setPlace({ name: t('place'), parent, title, within: 'evidence' }), [t, parent, title])
  const collage = useQuery(collageQueries.one(item.id))
  return (
    <Fetched query={collage}>{(saved) => <CollageEditor key={item.id} item={item} saved={saved} />}</Fetched>
  )
}
