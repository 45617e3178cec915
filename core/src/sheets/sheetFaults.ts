// What a question sheet still lacks before others can answer it.
import { fieldOf } from '../pages/index.ts'
import type { Question } from '../pages/index.ts'
import { isEmptyText } from '../people/index.ts'
import type { SheetContent } from './schema.ts'

export type SheetFault =
  | { readonly what: 'title' | 'questions' }
  /** The number of the question, from 1. */
  | { readonly what: 'words' | 'attribute' | 'options' | 'limits'; readonly question: number }

const FEWEST_OPTIONS = 2

/** Returns what stands in the way of publishing, in reading order. */
export function sheetFaults({ title, questions }: SheetContent): SheetFault[] {
  return [
    ...(isEmptyText(title) ? [{ what: 'title' as const }] : []),
    ...(questions.length === 0 ? [{ what: 'questions' as const }] : []),
    ...questions.flatMap((question, n) => faultsOf(question).map((what) => ({ what, question: n + 1 }))),
  ]
}

function faultsOf(question: Question): Extract<SheetFault, { question: number }>['what'][] {
  const field = fieldOf<Question['kind']>(question)
  const options = field.options(question)
  const limits = field.amount(question) ?? field.wordLimits(question)
  // What an attribute asks comes with it.
  if (field.isReady?.(question) === false) return ['attribute']
  return [
    ...(isEmptyText(question.asks) ? ['words' as const] : []),
    ...(options && (options.length < FEWEST_OPTIONS || options.some(({ label }) => isEmptyText(label)))
      ? ['options' as const]
      : []),
    ...(limits && limits.most !== null && limits.most < limits.least ? ['limits' as const] : []),
  ]
}
