// An assignment while it is being written: texts by lines and language, as the form shows them.
import type { Assignment, AssignmentInput } from '@valise/core/assignments'
import { languages } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import { uiOf } from '../submissions/index.ts'
import type { DraftRequirement } from '../submissions/index.ts'
import { fromLines, toLines } from '../ui/textLines.ts'
import type { Texts } from '../ui/textLines.ts'

export interface AssignmentDraft {
  readonly title: Texts
  readonly brief: Texts
  readonly requirements: readonly DraftRequirement[]
  readonly scale: Texts
  readonly terms: Texts
  readonly dueLocal: string
  readonly allowsGaps: boolean
}

const nothing: Texts = { en: '', es: '' }

/** Returns the form state of an existing assignment, or of a new one with the usual scale. */
export function toDraft(
  assignment: Assignment | null,
  usual: Pick<AssignmentDraft, 'scale' | 'terms'>,
): AssignmentDraft {
  if (!assignment)
    return { title: nothing, brief: nothing, requirements: [], ...usual, dueLocal: '', allowsGaps: true }
  const { title, brief, requirements, scale, terms, dueLocal, allowsGaps } = assignment
  return {
    title: textsOf(title),
    brief: brief === null ? nothing : textsOf(brief),
    requirements: requirements.map((one) => uiOf(one.kind).toDraft(one)),
    scale: toLines(scale.map(({ name }) => name)),
    terms: toLines(terms),
    dueLocal: dueLocal ?? '',
    allowsGaps,
  }
}

/** Returns the request body. Levels keep their ids by position, so that outcomes keep their levels. */
export function toInput(
  draft: AssignmentDraft,
  before: readonly { readonly id: string }[],
  newId: () => string,
): AssignmentInput {
  const { title, brief, requirements, scale, terms, dueLocal, allowsGaps } = draft
  const described = localized(brief)
  return {
    title: localized(title),
    brief: Object.keys(described).length === 0 ? null : described,
    requirements: requirements.map((one) => uiOf(one.kind).fromDraft(one)),
    scale: fromLines(scale).map((name, at) => ({ id: before[at]?.id ?? newId(), name })),
    terms: fromLines(terms),
    dueLocal: dueLocal === '' ? null : dueLocal,
    allowsGaps,
  }
}

function textsOf(text: Localized): Texts {
  return { en: text.en ?? '', es: text.es ?? '' }
}

function localized(texts: Texts): Localized {
  const there = languages.map((language) => [language, texts[language].trim()] as const)
  return Object.fromEntries(there.filter(([, text]) => text !== ''))
}
