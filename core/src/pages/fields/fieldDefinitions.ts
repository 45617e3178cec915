// The list of the kinds of questions, with what each says of its questions and answers.
import { choiceField } from './choice/choiceField.ts'
import { dateField } from './date/dateField.ts'
import { entryField } from './entry/entryField.ts'
import { evidenceField } from './evidence/evidenceField.ts'
import type { FieldDefinition } from './FieldDefinition.ts'
import type { FieldKind } from './fieldSchemas.ts'
import { logbookField } from './logbook/logbookField.ts'
import { longField } from './long/longField.ts'
import { pageField } from './page/pageField.ts'
import { peopleField } from './people/peopleField.ts'
import { ratingField } from './rating/ratingField.ts'
import { scaleField } from './scale/scaleField.ts'
import { shortField } from './short/shortField.ts'
import { stepsField } from './steps/stepsField.ts'

const fieldDefinitions = {
  long: longField,
  short: shortField,
  steps: stepsField,
  choice: choiceField,
  scale: scaleField,
  rating: ratingField,
  date: dateField,
  evidence: evidenceField,
  entry: entryField,
  logbook: logbookField,
  page: pageField,
  people: peopleField,
} satisfies FieldDefinitions

type FieldDefinitions = { readonly [K in FieldKind]: FieldDefinition<K> }

/** The kinds in the order in which they are offered. */
// The list has exactly these keys, which `Object.keys` does not say.
export const fieldKinds = Object.keys(fieldDefinitions) as FieldKind[]

/** Those of question sheets; the others stand in guides alone. */
export const sheetFieldKinds = fieldKinds.filter((kind) => !fieldOf({ kind }).isForGuides)

export function fieldOf<K extends FieldKind>({ kind }: { readonly kind: K }): FieldDefinition<K> {
  // The definition under a kind is that of questions of this kind, which the compiler does not follow.
  return fieldDefinitions[kind] as unknown as FieldDefinition<K>
}
