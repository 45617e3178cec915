// A self-rating: an answer by a step of an attribute's scale, with the reason for it.
import { anyLength } from '../anyLength.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'
import type { AnswerOf } from '../fieldSchemas.ts'
import { scaleField } from '../scale/scaleField.ts'

export const ratingField: FieldDefinition<'rating'> = {
  create: (id) => ({
    ...{ id, kind: 'rating', asks: {}, hint: {}, weight: 'should', words: anyLength },
    ...{ attribute: null, steps: [] },
  }),
  blank: () => ({ step: null, reason: '' }),
  wordLimits: ({ words }) => words,
  amount: () => null,
  options: () => null,
  takesEvidence: true,
  isReady: ({ attribute }) => attribute !== null,
  isBlank: (answer) => scaleField.isBlank(answer),
  isWhole: ({ step }) => step !== null,
  written: ({ reason }) => reason,
  plainText: (answer, lang) => scaleField.plainText(withPlace(answer), lang),
  texts: () => [],
  render: (answer, view) => scaleField.render(withPlace(answer), view),
}

/** The name of a step says little to whoever does not know how many there are. */
function withPlace({ step, reason }: AnswerOf<'rating'>): AnswerOf<'scale'> {
  if (step === null) return { step, reason }
  const { id, label, place, of } = step
  const named = Object.entries(label).map(([language, name]) => [language, `${name} (${place}/${of})`])
  return { step: { id, label: Object.fromEntries(named) }, reason }
}
