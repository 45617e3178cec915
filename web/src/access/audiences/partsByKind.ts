// The list of the kinds of audiences, with what each brings to the dialog. The order is the one in which they are offered.
import type { AudienceKind } from '@valise/core/access'
import { assessorsParts } from './assessors/assessorsParts.tsx'
import type { AudienceParts } from './AudienceParts.ts'
import { classParts } from './class/classParts.tsx'
import { linkParts } from './link/linkParts.tsx'
import { personParts } from './person/personParts.tsx'

export const partsByKind = {
  assessors: assessorsParts,
  class: classParts,
  person: personParts,
  link: linkParts,
} satisfies { [K in AudienceKind]: AudienceParts<K> }

// The list has exactly these keys, which `Object.keys` does not say.
export const offeredKinds = Object.keys(partsByKind) as AudienceKind[]

export function partsOf<K extends AudienceKind>(kind: K): AudienceParts<K> {
  // The parts under a kind are those of audiences of this kind, which the compiler does not follow.
  return partsByKind[kind] as unknown as AudienceParts<K>
}
