// What a set of attributes still lacks before others can rate themselves by it.
import { isEmptyText } from '../people/index.ts'
import type { Localized } from '../people/index.ts'
import type { AttributeSetContent } from './schema.ts'
import { LEAST_STEPS } from './valueLists.ts'

export type AttributeSetFault =
  | { readonly what: 'title' | 'steps' | 'attributes' }
  /** The number of the step or the attribute, from 1. */
  | { readonly what: 'step' | 'attribute'; readonly n: number }

/** Returns what stands in the way of publishing, in reading order. What steps look like may be left out. */
export function attributeSetFaults({ title, steps, attributes }: AttributeSetContent): AttributeSetFault[] {
  const unnamed = (what: 'step' | 'attribute', names: readonly Localized[]) =>
    names.flatMap((name, n) => (isEmptyText(name) ? [{ what, n: n + 1 }] : []))
  return [
    ...(isEmptyText(title) ? [{ what: 'title' as const }] : []),
    ...(steps.length < LEAST_STEPS ? [{ what: 'steps' as const }] : []),
    ...unnamed(
      'step',
      steps.map(({ label }) => label),
    ),
    ...(attributes.length === 0 ? [{ what: 'attributes' as const }] : []),
    ...unnamed(
      'attribute',
      attributes.map(({ name }) => name),
    ),
  ]
}
