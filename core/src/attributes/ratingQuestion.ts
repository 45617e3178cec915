// How an attribute is asked: a question that holds its meaning and its steps as they stand in one version of the set.
import { fnv1a } from '../json/index.ts'
import { fieldOf } from '../pages/index.ts'
import type { QuestionOf } from '../pages/index.ts'
import type { Attribute, AttributeSetVersion } from './schema.ts'

/** What a question needs of a version of a set. */
export type AskedSet = Pick<AttributeSetVersion, 'id' | 'n' | 'content'>

/**
 * Makes the question by which somebody rates themselves on an attribute; null where the set has no such attribute.
 *
 * @param id the id of the question; without one, the same for the same attribute in every version of its set
 */
export function ratingQuestion(
  set: AskedSet,
  attributeId: string,
  id: string = fnv1a([set.id, attributeId]).toString(36),
): QuestionOf<'rating'> | null {
  const attribute = set.content.attributes.find((one) => one.id === attributeId)
  return attribute ? { ...fieldOf({ kind: 'rating' }).create(id), ...askedOf(set, attribute) } : null
}

function askedOf({ id: setId, n, content }: AskedSet, { id, name, meaning, looks }: Attribute) {
  return {
    asks: name,
    hint: meaning,
    attribute: { setId, n, setTitle: content.title, id },
    steps: content.steps.map((step) => ({ ...step, looks: looks[step.id] ?? {} })),
    // A step without a reason says little, and one word of it is a beginning.
    words: { least: 1, most: null },
  }
}
