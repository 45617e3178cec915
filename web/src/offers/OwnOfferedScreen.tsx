// One thing of one's own that is offered to others: while it is written, or in the bin.
import { useQuery } from '@tanstack/react-query'
import type { OfferedContent, OwnOffered } from '@valise/core/offers'
import type { ThingKind } from '@valise/core/things'
import type { ReactNode } from 'react'
import { useParams } from 'react-router'
import { InBin } from '../bin/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import type { PlaceName } from '../ui/place.ts'
import type { OfferedApi } from './offeredApi.ts'

interface OwnOfferedScreenProps<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly kind: ThingKind
  /** The name of the place where all of them are. */
  readonly place: string
  readonly within?: PlaceName
  readonly builder: (own: OwnOffered<C>) => ReactNode
}

export function OwnOfferedScreen<C extends OfferedContent>(props: OwnOfferedScreenProps<C>) {
  const { api, kind, place, within, builder } = props
  const { id = '' } = useParams()
  const own = useQuery(api.queries.own(id))
  if (own.data?.binnedAt === null) return builder(own.data)
  return (
    <Screen place={place} {...(within && { within })} sentence={place}>
      <Fetched query={own}>{(binned) => <InBin kind={kind} id={binned.id} />}</Fetched>
    </Screen>
  )
}
