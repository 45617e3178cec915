// An answer by names.
import { escapeHtml } from '../../escapeHtml.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const peopleField: FieldDefinition<'people'> = {
  create: (id) => ({ id, kind: 'people', asks: {}, hint: {}, weight: 'should' }),
  isForGuides: true,
  blank: () => ({ names: [] }),
  wordLimits: () => null,
  amount: () => null,
  options: () => null,
  isBlank: ({ names }) => names.every((name) => name.trim() === ''),
  written: ({ names }) => names.join(' '),
  plainText: ({ names }) => given(names).join(' · '),
  texts: () => [],
  render: ({ names }) =>
    `<ul>${given(names)
      .map((name) => `<li>${escapeHtml(name)}</li>`)
      .join('')}</ul>`,
}

function given(names: readonly string[]): string[] {
  return names.filter((name) => name.trim() !== '')
}
