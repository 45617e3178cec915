// The fields that requirements, and what was found of them, have in common, as schemas.
import { Type } from 'typebox'
import { idSchema, object } from '../../schemas/index.ts'
import { weights } from '../valueLists.ts'

/** Made by whoever writes the assignment; it stays when words are changed. */
export const innerIdSchema = Type.String({ pattern: '^[0-9a-zA-Z-]{1,40}$' })

/** Of every requirement, beside its kind. */
export const requirementFields = { id: innerIdSchema, weight: Type.Enum([...weights]) }

/** Of every result. */
export const resultFields = { isThere: Type.Boolean({ description: 'Whether what goes in meets it' }) }

export const countSchema = Type.Integer({ minimum: 0 })
export const itemSchema = object({ id: idSchema, title: Type.String() })
