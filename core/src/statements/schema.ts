// What is said of one item: a document like an entry's, which begins when its first words are written.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { draftSchema, textLanguages } from '../pages/index.ts'
import { nullable, object } from '../schemas/index.ts'

export const newStatementSchema = object({ lang: Type.Enum([...textLanguages]) })
export type NewStatement = Static<typeof newStatementSchema>

export const statementSchema = object({
  draft: nullable(draftSchema),
})
export type ItemStatement = Static<typeof statementSchema>
