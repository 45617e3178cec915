// The assessors of a class.
import { classRoles, isAssessorRole } from '@valise/core/people'
import type { AudienceStore } from './AudienceStore.ts'
import { inRoles } from './inRoles.ts'

export const assessorsStore: AudienceStore<'assessors'> = inRoles(classRoles.filter(isAssessorRole))
