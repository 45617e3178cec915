// One page: what will they see? Its author goes on in the draft, others read what is published. The address is the same.
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense } from 'react'
import type { ComponentType } from 'react'
import { useTranslation } from 'react-i18next'
import { useParams, useSearchParams } from 'react-router'
import { ReadPage } from '../access/index.ts'
import { ApiProblem } from '../api/index.ts'
import { Fetched, Loading } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { InBin } from '../bin/index.ts'
import { pageQueries } from './queries.ts'

// Whoever only reads needs no editor.
const PageEditor = lazy(async () => ({ default: (await import('./PageEditor.tsx')).PageEditor }))

interface PageScreenProps {
  /** What stands below a page, for its author and its readers: what was said of it. */
  readonly Below: ComponentType<{ readonly pageId: string }>
}

export function PageScreen({ Below }: PageScreenProps) {
  const { t } = useTranslation('app')
  const { id = '' } = useParams()
  const [search] = useSearchParams()
  // Within a collection a page is read, by its author too; the way back to the draft stands beside it.
  const isRead = search.has('in')
  const page = useQuery({ ...pageQueries.one(id), enabled: !isRead })
  const isForeign = page.error instanceof ApiProblem && page.error.code === 'not-found'
  if (isRead || isForeign)
    return (
      <ReadPage
        key={id}
        id={id}
        after={
          <Suspense fallback={null}>
            <Below pageId={id} />
          </Suspense>
        }
      />
    )
  if (page.data?.binnedAt === null)
    return (
      <Suspense fallback={<Loading />}>
        <PageEditor key={id} page={page.data} below={<Below pageId={id} />} />
      </Suspense>
    )
  return (
    <Screen place={t('places.pages')} parent={t('stops.arrange')} sentence={t('places.pages')}>
      <Fetched query={page}>{(binned) => <InBin kind="page" id={binned.id} />}</Fetched>
    </Screen>
  )
}
