// One person.
import { Type } from 'typebox'
import { idSchema, object } from '../../../schemas/index.ts'
import { always } from '../AudienceDefinition.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'

export const personAudience = {
  schema: object({ kind: Type.Literal('person'), personId: idSchema }),
  isUsualForYoungest: false,
  hasAddress: false,
  windows: ({ audience }, viewer) =>
    viewer.kind === 'person' && viewer.personId === audience.personId ? always : [],
} satisfies AudienceDefinition
