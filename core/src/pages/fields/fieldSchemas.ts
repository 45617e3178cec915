// The list of the kinds of questions, with the schema of a question of each and of its answer, as they are offered.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { choiceSchemas } from './choice/schema.ts'
import { dateSchemas } from './date/schema.ts'
import { evidenceSchemas } from './evidence/schema.ts'
import { entrySchemas } from './entry/schema.ts'
import { logbookSchemas } from './logbook/schema.ts'
import { longSchemas } from './long/schema.ts'
import { pageSchemas } from './page/schema.ts'
import { peopleSchemas } from './people/schema.ts'
import { ratingSchemas } from './rating/schema.ts'
import { scaleSchemas } from './scale/schema.ts'
import { shortSchemas } from './short/schema.ts'
import { stepsSchemas } from './steps/schema.ts'

export const fieldSchemas = {
  long: longSchemas,
  short: shortSchemas,
  steps: stepsSchemas,
  choice: choiceSchemas,
  scale: scaleSchemas,
  rating: ratingSchemas,
  date: dateSchemas,
  evidence: evidenceSchemas,
  entry: entrySchemas,
  logbook: logbookSchemas,
  page: pageSchemas,
  people: peopleSchemas,
}

export type FieldKind = keyof typeof fieldSchemas
export type QuestionOf<K extends FieldKind> = Static<(typeof fieldSchemas)[K]['question']>
export type AnswerOf<K extends FieldKind> = Static<(typeof fieldSchemas)[K]['answer']>
export type Question = { [K in FieldKind]: QuestionOf<K> }[FieldKind]

export const questionSchema = Type.Unsafe<Question>(
  Type.Union(Object.values(fieldSchemas).map(({ question }) => question)),
)
