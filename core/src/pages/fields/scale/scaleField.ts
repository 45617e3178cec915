// An answer by a step of a scale, with the reason for it.
import { escapeHtml } from '../../escapeHtml.ts'
import { textIn } from '../../../people/index.ts'
import { anyLength } from '../anyLength.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

const USUAL_STEPS = 4

export const scaleField: FieldDefinition<'scale'> = {
  create: (id) => ({
    ...{ id, kind: 'scale', asks: {}, hint: {}, weight: 'should', words: anyLength },
    steps: Array.from({ length: USUAL_STEPS }, (_, n) => ({ id: `s${n + 1}`, label: {} })),
  }),
  blank: () => ({ step: null, reason: '' }),
  wordLimits: ({ words }) => words,
  amount: () => null,
  options: ({ steps }) => steps,
  isBlank: ({ step, reason }) => step === null && reason.trim() === '',
  isWhole: ({ step }) => step !== null,
  written: ({ reason }) => reason,
  plainText: ({ step, reason }, lang) => [step ? textIn(step.label, lang) : '', reason].join('\n').trim(),
  texts: () => [],
  render: ({ step, reason }, { lang }) =>
    [
      step ? `<p><strong>${escapeHtml(textIn(step.label, lang))}</strong></p>` : '',
      ...reason.split('\n').map((line) => (line.trim() === '' ? '' : `<p>${escapeHtml(line)}</p>`)),
    ].join(''),
}
