// Short ways to write the questions of the sheets that ship with Valise.
import { fieldOf } from '../../pages/index.ts'
import type { QuestionOf, WordLimits } from '../../pages/index.ts'

type Both = readonly [en: string, es: string]

interface Asked {
  readonly id: string
  readonly asks: Both
  readonly hint?: Both
  readonly isRequired?: true
  readonly words?: readonly [least: number, most?: number]
}

export function long(asked: Asked): QuestionOf<'long'> {
  return { ...fieldOf({ kind: 'long' }).create(asked.id), ...wordsOf(asked), words: limitsOf(asked) }
}

export function short(asked: Asked): QuestionOf<'short'> {
  return { ...fieldOf({ kind: 'short' }).create(asked.id), ...wordsOf(asked), words: limitsOf(asked) }
}

export function steps(asked: Asked): QuestionOf<'steps'> {
  return { ...fieldOf({ kind: 'steps' }).create(asked.id), ...wordsOf(asked), words: limitsOf(asked) }
}

export function day(asked: Asked): QuestionOf<'date'> {
  return { ...fieldOf({ kind: 'date' }).create(asked.id), ...wordsOf(asked) }
}

export function evidence(
  asked: Asked,
  { accepts, least }: Pick<QuestionOf<'evidence'>, 'accepts' | 'least'>,
): QuestionOf<'evidence'> {
  return { ...fieldOf({ kind: 'evidence' }).create(asked.id), ...wordsOf(asked), accepts, least }
}

export function choice(
  asked: Asked,
  { several = false, options }: { readonly several?: boolean; readonly options: readonly Both[] },
): QuestionOf<'choice'> {
  return {
    ...fieldOf({ kind: 'choice' }).create(asked.id),
    ...wordsOf(asked),
    several,
    options: options.map(optionOf('o')),
  }
}

export function scale(asked: Asked, named: readonly Both[]): QuestionOf<'scale'> {
  return {
    ...fieldOf({ kind: 'scale' }).create(asked.id),
    ...wordsOf(asked),
    words: limitsOf(asked),
    steps: named.map(optionOf('s')),
  }
}

export function both([en, es]: Both) {
  return { en, es }
}

function wordsOf({ asks, hint, isRequired }: Asked) {
  const weight: 'must' | 'should' = isRequired ? 'must' : 'should'
  return { asks: both(asks), hint: hint ? both(hint) : {}, weight }
}

function limitsOf({ words }: Asked): WordLimits {
  return { least: words?.[0] ?? 0, most: words?.[1] ?? null }
}

const optionOf = (letter: string) => (label: Both, n: number) => ({
  id: `${letter}${n + 1}`,
  label: both(label),
})
