// What a kind of requirement is called on screens: what is asked, and what was found of it.
import type { CheckedOf, RequirementKind, RequirementOf } from '@valise/core/assignments'
import type { ContentSort } from '@valise/core/pages'
import type { TFunction } from 'i18next'

export interface RequirementWords<K extends RequirementKind> {
  /** What is asked: a page with a picture and a data table. */
  wanted(requirement: RequirementOf<K>, say: Say): string
  /** How far it is: what is there, or exactly what is missing. */
  found(checked: CheckedOf<K>, say: Say): string
}

export interface Say {
  readonly t: TFunction<['work', 'submissions']>
  /** Of the reader. */
  readonly language: string
  list(words: readonly string[]): string
  /** a picture and 2 data tables */
  pieces(wanted: readonly { readonly sort: ContentSort; readonly atLeast: number }[]): string
}
