// Who made each item that goes in.
import { Type } from 'typebox'
import { countSchema, itemSchema, requirementFields, resultFields } from '../requirementFields.ts'

const only = { additionalProperties: false }

export const rightsRequirement = {
  requirement: Type.Object({ kind: Type.Literal('rights'), ...requirementFields }, only),
  result: Type.Object({ ...resultFields, items: countSchema, undeclared: Type.Array(itemSchema) }, only),
}
