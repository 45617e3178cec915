// A page that holds certain content, on screens.
import type { RequirementOf } from '@valise/core/assignments'
import { lazy } from 'react'
import { needWords } from '../../../words/i18n.ts'
import type { RequirementUi } from '../RequirementUi.ts'
import { PageFields } from './PageFields.tsx'

const FixPage = lazy(async () => {
  await needWords('submissions')
  return { default: (await import('./FixPage.tsx')).FixPage }
})

export const pageUi: RequirementUi<'page', RequirementOf<'page'>> = {
  toDraft: (requirement) => requirement,
  fromDraft: (draft) => draft,
  Fields: PageFields,
  Fix: FixPage,
}
