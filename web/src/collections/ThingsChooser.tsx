// Ticking the pages or collections that are to lie in a collection; those that lie in it already are not offered.
import { useQuery } from '@tanstack/react-query'
import type { Collection } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { accessQueries } from '../access/queries.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { TickDialog } from '../ui/TickDialog.tsx'
import { useWhen } from '../ui/useWhen.ts'

interface ThingsChooserProps {
  readonly kind: 'page' | 'collection'
  readonly collection: Collection
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function ThingsChooser({ kind, collection, onChoose, onClose }: ThingsChooserProps) {
  const { t } = useTranslation(['collections', 'things'])
  const when = useWhen()
  const sharing = useQuery(accessQueries.sharing())
  const isThere = new Set([collection.id, ...collection.things.map(({ id }) => id)])
  const stateOf = (publishedAt: string | null) =>
    publishedAt === null
      ? t('things:pages.draft')
      : t('things:pages.published', { date: when.date(publishedAt) })
  return (
    <TickDialog
      title={t(kind === 'page' ? 'add.choosePages' : 'add.chooseCollections')}
      verb={(count) => t('add.chosen', { count })}
      onChoose={onChoose}
      onClose={onClose}
    >
      {(list) => (
        <Fetched query={sharing}>
          {({ things }) => {
            const offered = things.filter((thing) => thing.kind === kind && !isThere.has(thing.id))
            const choices = offered.map(({ id, title, publishedAt }) => ({
              id,
              name: title || t(kind === 'page' ? 'things:pages.untitled' : 'untitled'),
              ...(kind === 'page' && { about: stateOf(publishedAt) }),
            }))
            return list(choices, t(kind === 'page' ? 'add.noPages' : 'add.noCollections'))
          }}
        </Fetched>
      )}
    </TickDialog>
  )
}
