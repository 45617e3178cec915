// The list of the kinds of things that lie in collections, with the words by which they are added.
import type { SharedKind } from '@valise/core/things'

export const placesByKind = {
  page: { add: 'add.pages', choose: 'add.choosePages', none: 'add.noPages' },
  collection: { add: 'add.collections', choose: 'add.chooseCollections', none: 'add.noCollections' },
} as const satisfies Record<SharedKind, PlaceWords>

interface PlaceWords {
  readonly add: string
  readonly choose: string
  readonly none: string
}
