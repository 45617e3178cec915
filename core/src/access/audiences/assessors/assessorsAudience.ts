// The assessors of a class.
import { Type } from 'typebox'
import { idSchema, object } from '../../../schemas/index.ts'
import { isAssessorRole } from '../../../people/index.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'
import { membershipWindows } from '../membershipWindows.ts'

export const assessorsAudience = {
  schema: object({ kind: Type.Literal('assessors'), classId: idSchema }),
  isUsualForYoungest: true,
  hasAddress: false,
  windows: (pass, viewer, world) => membershipWindows(pass, viewer, world, isAssessorRole),
} satisfies AudienceDefinition
