// The list of the kinds of audiences, with what each says.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { assessorsAudience } from './assessors/assessorsAudience.ts'
import type { AudienceDefinition } from './AudienceDefinition.ts'
import { classAudience } from './class/classAudience.ts'
import { linkAudience } from './link/linkAudience.ts'
import { personAudience } from './person/personAudience.ts'

const audienceDefinitions = {
  person: personAudience,
  assessors: assessorsAudience,
  class: classAudience,
  link: linkAudience,
} satisfies Record<string, AudienceDefinition>

type Definitions = typeof audienceDefinitions
export type AudienceKind = keyof Definitions
/** What a pass for an audience of this kind is given with. */
export type AudienceOf<K extends AudienceKind> = Static<Definitions[K]['schema']>
export type Audience = { [K in AudienceKind]: AudienceOf<K> }[AudienceKind]
/** The audiences that people belong to by who they are, and not by an address that they hold. */
export type NamedAudienceKind = {
  [K in AudienceKind]: Definitions[K]['hasAddress'] extends true ? never : K
}[AudienceKind]

// The list has exactly these keys, which `Object.keys` does not say.
export const audienceKinds = Object.keys(audienceDefinitions) as AudienceKind[]

export function audienceDefinitionOf(kind: AudienceKind): AudienceDefinition {
  return audienceDefinitions[kind]
}

export const audienceSchema = Type.Unsafe<Audience>(
  Type.Union(audienceKinds.map((kind) => audienceDefinitions[kind].schema)),
)
export const audienceKindSchema = Type.Unsafe<AudienceKind>(Type.Enum(audienceKinds))
export const namedAudienceKindSchema = Type.Unsafe<NamedAudienceKind>(
  Type.Enum(audienceKinds.filter((kind) => !audienceDefinitions[kind].hasAddress)),
)
