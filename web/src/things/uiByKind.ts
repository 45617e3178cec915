// The list of the kinds of things, with what each brings to screens that show things of all kinds.
import type { ThingKind } from '@valise/core/things'
import { attributeSetUi } from './kinds/attributeSetUi.ts'
import { collectionUi } from './kinds/collectionUi.ts'
import { entryUi } from './kinds/entryUi.ts'
import { evidenceUi } from './kinds/evidenceUi.ts'
import { guideCopyUi } from './kinds/guideCopyUi.ts'
import { guideUi } from './kinds/guideUi.ts'
import { logbookUi } from './kinds/logbookUi.ts'
import { pageUi } from './kinds/pageUi.ts'
import { sheetUi } from './kinds/sheetUi.ts'
import type { ThingUi } from './ThingUi.ts'

export const uiByKind = {
  page: pageUi,
  collection: collectionUi,
  logbook: logbookUi,
  entry: entryUi,
  evidence: evidenceUi,
  sheet: sheetUi,
  attributeSet: attributeSetUi,
  guide: guideUi,
  guideCopy: guideCopyUi,
} satisfies Record<ThingKind, ThingUi>
