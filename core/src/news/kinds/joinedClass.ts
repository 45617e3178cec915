// Somebody is in a class from now on.
import { Type } from 'typebox'
import { classRoles } from '../../people/index.ts'

export const joinedClass = Type.Object(
  { className: Type.String(), role: Type.Enum([...classRoles]) },
  { additionalProperties: false },
)
