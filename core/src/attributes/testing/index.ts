// Random sets of attributes, with ids of a small set, so that two of them share some.
import fc from 'fast-check'
import type { AttributeSetContent } from '../schema.ts'

const words = fc.constantFrom('Noticing', 'Passing on', 'Asking before acting')
const texts = fc.oneof(
  fc.constant({}),
  words.map((en) => ({ en })),
  words.map((en) => ({ en, es: `${en}, en español` })),
)
const ids = (letter: string, most: number) =>
  fc.uniqueArray(fc.nat(7), { maxLength: most }).map((numbers) => numbers.map((n) => `${letter}${n}`))

export const anySet: fc.Arbitrary<AttributeSetContent> = fc
  .tuple(ids('s', 7), ids('a', 4), texts, fc.infiniteStream(texts))
  .map(([stepIds, attributeIds, title, stream]) => {
    const next = () => stream.next().value ?? {}
    return {
      ...{ title, about: {} },
      steps: stepIds.map((id) => ({ id, label: next() })),
      attributes: attributeIds.map((id) => ({
        ...{ id, name: next(), meaning: next() },
        looks: Object.fromEntries(stepIds.slice(1).map((stepId) => [stepId, next()])),
      })),
    }
  })
