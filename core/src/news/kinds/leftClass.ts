// Somebody is no longer in a class.
import { Type } from 'typebox'
import { classRoles } from '../../people/index.ts'

export const leftClass = Type.Object(
  { className: Type.String(), role: Type.Enum([...classRoles]) },
  { additionalProperties: false },
)
