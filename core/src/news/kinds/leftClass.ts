// Somebody is no longer in a class.
import { Type } from 'typebox'
import { object } from '../../schemas/index.ts'
import { classRoles } from '../../people/index.ts'

export const leftClass = object({ className: Type.String(), role: Type.Enum([...classRoles]) })
