// The student's own words about one item, on screens.
import { lazy } from 'react'
import { fromLines, toLines } from '../../../ui/textLines.ts'
import { needWords } from '../../../words/i18n.ts'
import type { RequirementUi } from '../RequirementUi.ts'
import { StatementFields } from './StatementFields.tsx'
import type { StatementDraft } from './StatementFields.tsx'

const FixStatement = lazy(async () => {
  await Promise.all([needWords('submissions'), needWords('evidence')])
  return { default: (await import('./FixStatement.tsx')).FixStatement }
})

export const statementUi: RequirementUi<'statement', StatementDraft> = {
  toDraft: (requirement) => ({ ...requirement, questions: toLines(requirement.questions) }),
  fromDraft: (draft) => ({ ...draft, questions: fromLines(draft.questions) }),
  Fields: StatementFields,
  Fix: FixStatement,
}
