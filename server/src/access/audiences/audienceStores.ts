// The list of the kinds of audiences, with what each is in the database.
import type { AudienceKind } from '@valise/core/access'
import { assessorsStore } from './assessorsStore.ts'
import type { AudienceStore } from './AudienceStore.ts'
import { classStore } from './classStore.ts'
import { linkStore } from './linkStore.ts'
import { personStore } from './personStore.ts'

const audienceStores = {
  person: personStore,
  assessors: assessorsStore,
  class: classStore,
  link: linkStore,
} satisfies { [K in AudienceKind]: AudienceStore<K> }

export function audienceStoreOf(kind: AudienceKind): AudienceStore {
  // The store under a kind is that of audiences of this kind, which the compiler does not follow.
  return audienceStores[kind] as unknown as AudienceStore
}
