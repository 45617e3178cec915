// A stage of a guide: the questions of it that are required.
import { Type } from 'typebox'
import { localizedDraftSchema } from '../../../people/index.ts'
import { LONGEST_ASKED, MOST_SHEET_QUESTIONS } from '../../../pages/index.ts'
import { object } from '../../../schemas/index.ts'
import { innerIdSchema, requirementFields, resultFields } from '../requirementFields.ts'

const askedSchema = object({ id: innerIdSchema, asks: localizedDraftSchema(LONGEST_ASKED) })
const questions = Type.Array(askedSchema, { maxItems: MOST_SHEET_QUESTIONS })

export const stageRequirement = {
  requirement: object({
    kind: Type.Literal('stage'),
    ...requirementFields,
    name: localizedDraftSchema(LONGEST_ASKED),
    questions,
  }),
  result: object({ ...resultFields, missing: questions }),
}
