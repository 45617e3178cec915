// Who made each item, on screens.
import type { RequirementOf } from '@valise/core/assignments'
import { lazy } from 'react'
import { needWords } from '../../../words/i18n.ts'
import type { RequirementUi } from '../RequirementUi.ts'

const FixRights = lazy(async () => {
  await Promise.all([needWords('submissions'), needWords('evidence')])
  return { default: (await import('./FixRights.tsx')).FixRights }
})

export const rightsUi: RequirementUi<'rights', RequirementOf<'rights'>> = {
  toDraft: (requirement) => requirement,
  fromDraft: (draft) => draft,
  Fields: () => null,
  Fix: FixRights,
}
