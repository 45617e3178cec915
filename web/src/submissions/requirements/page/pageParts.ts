// A page that holds certain content, on screens.
import type { RequirementOf } from '@valise/core/assignments'
import type { RequirementParts } from '../RequirementParts.ts'
import { FixPage } from './FixPage.tsx'
import { PageFields } from './PageFields.tsx'

export const pageParts: RequirementParts<'page', RequirementOf<'page'>> = {
  toDraft: (requirement) => requirement,
  fromDraft: (draft) => draft,
  Fields: PageFields,
  Fix: FixPage,
}
