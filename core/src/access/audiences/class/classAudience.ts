// Everybody in a class.
import { Type } from 'typebox'
import { idSchema } from '../../../people/index.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'
import { membershipWindows } from '../membershipWindows.ts'

export const classAudience = {
  schema: Type.Object({ kind: Type.Literal('class'), classId: idSchema }, { additionalProperties: false }),
  isUsualForYoungest: true,
  hasAddress: false,
  windows: (pass, viewer, world) => membershipWindows(pass, viewer, world, () => true),
} satisfies AudienceDefinition
