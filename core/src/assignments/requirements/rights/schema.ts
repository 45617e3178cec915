// Who made each item that goes in.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { countSchema, itemSchema, requirementFields, resultFields } from '../requirementFields.ts'

export const rightsRequirement = {
  requirement: object({ kind: Type.Literal('rights'), ...requirementFields }),
  result: object({ ...resultFields, items: countSchema, undeclared: Type.Array(itemSchema) }),
}
