// Everybody in a class.
import { Type } from 'typebox'
import { idSchema, object } from '../../../schemas/index.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'
import { membershipWindows } from '../membershipWindows.ts'

export const classAudience = {
  schema: object({ kind: Type.Literal('class'), classId: idSchema }),
  isUsualForYoungest: true,
  hasAddress: false,
  windows: (pass, viewer, world) => membershipWindows(pass, viewer, world, () => true),
} satisfies AudienceDefinition
