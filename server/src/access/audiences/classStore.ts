// Everybody in a class.
import { classRoles } from '@valise/core/people'
import type { AudienceStore } from './AudienceStore.ts'
import { inRoles } from './inRoles.ts'

export const classStore: AudienceStore<'class'> = inRoles(classRoles)
