// The rules of the school: with which audiences people of a year group may share. They are a ceiling, read live.
import { audienceDefinitionOf, audienceKinds } from './audiences/audienceDefinitions.ts'
import type { AudienceKind } from './audiences/audienceDefinitions.ts'

/**
 * Returns the default sharing rules of a new school: the youngest year group may share with its class and assessors
 * only; everybody else with every audience.
 */
export function usualAudiences(yearGroup: { readonly isYoungest: boolean } | null): readonly AudienceKind[] {
  return audienceKinds.filter(
    (kind) => yearGroup?.isYoungest !== true || audienceDefinitionOf(kind).isUsualForYoungest,
  )
}
