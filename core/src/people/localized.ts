// Texts that stand in several languages side by side.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { languages } from './valueLists.ts'
import type { Language } from './valueLists.ts'

/** A text by language (BCP 47), in at least one language. */
export function localizedSchema(maxLength: number) {
  const text = Type.Optional(Type.String({ minLength: 1, maxLength }))
  const properties = Object.fromEntries(languages.map((language) => [language, text])) as Record<
    Language,
    typeof text
  >
  return Type.Object(properties, { additionalProperties: false, minProperties: 1 })
}

/** The same while it is written: nothing yet, or nothing any more, in some of the languages. */
export function localizedDraftSchema(maxLength: number) {
  const text = Type.Optional(Type.String({ maxLength }))
  const properties = Object.fromEntries(languages.map((language) => [language, text])) as Record<
    Language,
    typeof text
  >
  return Type.Object(properties, { additionalProperties: false })
}
export type Localized = Static<ReturnType<typeof localizedSchema>>
