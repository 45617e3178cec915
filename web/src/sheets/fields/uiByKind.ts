// The list of the kinds of questions, with what each brings to the screens.
import type { FieldKind } from '@valise/core/pages'
import { choiceUi } from './choice/choiceUi.ts'
import { dateUi } from './date/dateUi.ts'
import { entryUi } from './entry/entryUi.ts'
import { evidenceUi } from './evidence/evidenceUi.ts'
import type { FieldUi } from './FieldUi.ts'
import { logbookUi } from './logbook/logbookUi.ts'
import { longUi } from './long/longUi.ts'
import { pageUi } from './page/pageUi.ts'
import { peopleUi } from './people/peopleUi.ts'
import { ratingUi } from './rating/ratingUi.ts'
import { scaleUi } from './scale/scaleUi.ts'
import { shortUi } from './short/shortUi.ts'
import { stepsUi } from './steps/stepsUi.ts'

const uiByKind = {
  long: longUi,
  short: shortUi,
  steps: stepsUi,
  choice: choiceUi,
  scale: scaleUi,
  rating: ratingUi,
  date: dateUi,
  evidence: evidenceUi,
  entry: entryUi,
  logbook: logbookUi,
  page: pageUi,
  people: peopleUi,
} satisfies { [K in FieldKind]: FieldUi<K> }

export function fieldUiOf<K extends FieldKind>({ kind }: { readonly kind: K }): FieldUi<K> {
  // What stands under a kind is that of questions of this kind, which the compiler does not follow.
  return uiByKind[kind] as unknown as FieldUi<K>
}
