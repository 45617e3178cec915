// Sets of attributes, which students rate themselves on.
export { attributeSetFaults } from './attributeSetFaults.ts'
export { mergeAttributeSets } from './mergeAttributeSets.ts'
export { ratingQuestion } from './ratingQuestion.ts'
export { attributeSetContentSchema, attributeSetSchemas } from './schema.ts'
export type { Attribute, AttributeSetContent, AttributeSetVersion } from './schema.ts'
export {
  LEAST_STEPS,
  LONGEST_ATTRIBUTE_NAME,
  LONGEST_LOOKS,
  LONGEST_MEANING,
  MOST_ATTRIBUTES,
} from './valueLists.ts'
