// The assessors of a class.
import { Type } from 'typebox'
import { idSchema, isAssessorRole } from '../../../people/index.ts'
import type { AudienceDefinition } from '../AudienceDefinition.ts'
import { membershipWindows } from '../membershipWindows.ts'

export const assessorsAudience = {
  schema: Type.Object(
    { kind: Type.Literal('assessors'), classId: idSchema },
    { additionalProperties: false },
  ),
  isUsualForYoungest: true,
  hasAddress: false,
  windows: (pass, viewer, world) => membershipWindows(pass, viewer, world, isAssessorRole),
} satisfies AudienceDefinition
