// What a question sheet still lacks before others can answer it.
import { fieldOf } from '../pages/index.ts'
import type { Question } from '../pages/index.ts'
import { isEmptyText } from '../people/index.ts'
import type { SheetContent } from './schema.ts'

/** What a question lacks: its words, the attribute it is about, options to choose from, or limits that can be met. */
export type QuestionFault = 'words' | 'attribute' | 'options' | 'limits'

export type SheetFault =
  | { readonly what: 'title' | 'questions' }
  /** The number of the question, from 1. */
  | { readonly what: QuestionFault; readonly question: number }

const FEWEST_OPTIONS = 2

/** Returns what stands in the way of publishing, in reading order. */
export function sheetFaults({ title, questions }: SheetContent): SheetFault[] {
  return [
    ...(isEmptyText(title) ? [{ what: 'title' as const }] : []),
    ...(questions.length === 0 ? [{ what: 'questions' as const }] : []),
    ...questions.flatMap((question, n) =>
      questionFaults(question).map((what) => ({ what, question: n + 1 })),
    ),
  ]
}

/** Returns what a question lacks before it can be asked. */
export function questionFaults(question: Question): QuestionFault[] {
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
