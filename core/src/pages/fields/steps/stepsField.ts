// An answer of steps in their order.
import { escapeHtml } from '../../escapeHtml.ts'
import { anyLength } from '../anyLength.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const stepsField: FieldDefinition<'steps'> = {
  create: (id) => ({ id, kind: 'steps', asks: {}, hint: {}, weight: 'should', words: anyLength }),
  blank: () => ({ steps: [] }),
  wordLimits: ({ words }) => words,
  amount: () => null,
  options: () => null,
  isBlank: ({ steps }) => takenSteps(steps).length === 0,
  written: ({ steps }) => takenSteps(steps).join('\n'),
  plainText: ({ steps }) => takenSteps(steps).join('\n'),
  texts: () => [],
  render: ({ steps }) =>
    `<ol>${takenSteps(steps)
      .map((step) => `<li>${escapeHtml(step)}</li>`)
      .join('')}</ol>`,
}

/** A line that was left empty is no step. */
function takenSteps(steps: readonly string[]): string[] {
  return steps.filter((step) => step.trim() !== '')
}
