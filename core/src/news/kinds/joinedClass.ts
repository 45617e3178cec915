// Somebody is in a class from now on.
import { Type } from 'typebox'
import { object } from '../../schemas/index.ts'
import { classRoles } from '../../people/index.ts'

export const joinedClass = object({ className: Type.String(), role: Type.Enum([...classRoles]) })
