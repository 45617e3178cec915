// One page: what will they see? Written in place, kept by itself, published when its author says so.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { useParams } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { BinnedPage } from './BinnedPage.tsx'
import { PageEditor } from './PageEditor.tsx'
import { pageQueries } from './queries.ts'

export function PageScreen() {
  const { t } = useTranslation(['pages', 'app'])
  const { id = '' } = useParams()
  const page = useQuery(pageQueries.one(id))
  if (page.data?.binnedAt === null) return <PageEditor key={id} page={page.data} />
  return (
    <Screen place={t('app:places.pages')} parent={t('app:stops.arrange')} sentence={t('app:places.pages')}>
      <Fetched query={page}>{(binned) => <BinnedPage id={binned.id} />}</Fetched>
    </Screen>
  )
}
