// One person.
import { Type } from 'typebox'
import { idSchema } from '../../../people/index.ts'
import { always } from '../AudienceDefinition.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'

export const personAudience = {
  schema: Type.Object({ kind: Type.Literal('person'), personId: idSchema }, { additionalProperties: false }),
  isUsualForYoungest: false,
  hasAddress: false,
  windows: ({ audience }, viewer) =>
    viewer.kind === 'person' && viewer.personId === audience.personId ? always : [],
} satisfies AudienceDefinition
