// Ticking the things that are to lie in a collection; those that lie in it already are not offered.
import { useQuery } from '@tanstack/react-query'
import { isDraft } from '@valise/core/collections'
import type { Collection, HeldThing } from '@valise/core/collections'
import type { SharedKind } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { accessQueries } from '../access/index.ts'
import { useThingWords } from '../things/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { TickDialog } from '../ui/TickDialog.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { placesByKind } from './placesByKind.ts'

interface ThingsChooserProps {
  readonly kind: SharedKind
  readonly collection: Collection
  readonly onChoose: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function ThingsChooser({ kind, collection, onChoose, onClose }: ThingsChooserProps) {
  const { t } = useTranslation(['collections', 'things'])
  const when = useWhen()
  const sharing = useQuery(accessQueries.sharing())
  const isThere = new Set([collection.id, ...collection.things.map(({ id }) => id)])
  const words = useThingWords()
  const stateOf = (thing: HeldThing) => {
    if (isDraft(thing)) return { about: t('things:pages.draft') }
    if (thing.publishedAt === null) return {}
    return { about: t('things:pages.published', { date: when.date(thing.publishedAt) }) }
  }
  return (
    <TickDialog
      title={t(placesByKind[kind].choose)}
      verb={(count) => t('add.chosen', { count })}
      onChoose={onChoose}
      onClose={onClose}
    >
      {(list) => (
        <Fetched query={sharing}>
          {({ things }) => {
            const offered = things.filter((thing) => thing.kind === kind && !isThere.has(thing.id))
            const choices = offered.map((thing) => ({
              id: thing.id,
              name: words.title(thing),
              ...stateOf(thing),
            }))
            return list(choices, t(placesByKind[kind].none))
          }}
        </Fetched>
      )}
    </TickDialog>
  )
}
