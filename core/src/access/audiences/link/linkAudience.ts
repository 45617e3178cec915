// Whoever holds a link.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { LONGEST_LINK_NAME } from '../../valueLists.ts'
import { always } from '../AudienceDefinition.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'

export const linkAudience = {
  schema: object({
    kind: Type.Literal('link'),
    name: Type.String({ minLength: 1, maxLength: LONGEST_LINK_NAME }),
  }),
  isUsualForYoungest: false,
  hasAddress: true,
  windows: ({ id }, viewer) => (viewer.kind !== 'system' && viewer.links.includes(id) ? always : []),
} satisfies AudienceDefinition
