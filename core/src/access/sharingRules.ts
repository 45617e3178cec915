// The rules of the school: with which audiences people of a year group may share. They are a ceiling, read live.
import { audienceKinds } from './valueLists.ts'
import type { AudienceKind } from './valueLists.ts'

/**
 * What a school without rules of its own begins with: the youngest year group opens things to its class and its
 * assessors only; the others, and staff, to every audience.
 */
export function usualAudiences(yearGroup: { readonly isYoungest: boolean } | null): readonly AudienceKind[] {
  return yearGroup?.isYoungest === true ? ['assessors', 'class'] : audienceKinds
}
