// An instruction: its words by language, and the items that it shows.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { evidenceKinds } from '../../evidence/index.ts'
import { richTextSchema } from '../../pages/index.ts'
import { languages } from '../../people/index.ts'
import { idSchema, object } from '../../schemas/index.ts'
import { MOST_INSTRUCTION_ITEMS } from '../valueLists.ts'

const text = Type.Optional(richTextSchema)

export const instructionSchema = object({
  kind: Type.Literal('instruction'),
  id: Type.String({ pattern: '^[0-9a-z]{1,16}$' }),
  text: Type.Object(
    Object.fromEntries(languages.map((language) => [language, text])) as Record<
      (typeof languages)[number],
      typeof text
    >,
    { additionalProperties: false },
  ),
  items: Type.Array(object({ id: idSchema, kind: Type.Enum([...evidenceKinds]) }), {
    maxItems: MOST_INSTRUCTION_ITEMS,
  }),
})
export type Instruction = Static<typeof instructionSchema>
