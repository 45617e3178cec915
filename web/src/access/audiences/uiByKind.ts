// The list of the kinds of audiences, with what each brings to the dialog. The order is the one in which they are offered.
import type { AudienceKind } from '@valise/core/access'
import { assessorsUi } from './assessors/assessorsUi.tsx'
import type { AudienceUi } from './AudienceUi.ts'
import { classUi } from './class/classUi.tsx'
import { linkUi } from './link/linkUi.tsx'
import { personUi } from './person/personUi.tsx'

const uiByKind = {
  assessors: assessorsUi,
  class: classUi,
  person: personUi,
  link: linkUi,
} satisfies { [K in AudienceKind]: AudienceUi<K> }

// The list has exactly these keys, which `Object.keys` does not say.
export const offeredKinds = Object.keys(uiByKind) as AudienceKind[]

export function uiOf<K extends AudienceKind>(kind: K): AudienceUi<K> {
  // What stands under a kind is that of audiences of this kind, which the compiler does not follow.
  return uiByKind[kind] as unknown as AudienceUi<K>
}
