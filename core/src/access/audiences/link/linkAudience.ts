// Whoever holds a link.
import { Type } from 'typebox'
import { LONGEST_LINK_NAME } from '../../valueLists.ts'
import { always } from '../AudienceDefinition.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'

export const linkAudience = {
  schema: Type.Object(
    {
      kind: Type.Literal('link'),
      name: Type.String({ minLength: 1, maxLength: LONGEST_LINK_NAME }),
    },
    { additionalProperties: false },
  ),
  isUsualForYoungest: false,
  hasAddress: true,
  windows: ({ id }, viewer) => (viewer.kind !== 'system' && viewer.links.includes(id) ? always : []),
} satisfies AudienceDefinition
