// The list of the kinds of requirements, with what each brings to screens.
import type { RequirementKind } from '@valise/core/assignments'
import { pageUi } from './page/pageUi.ts'
import type { RequirementUi } from './RequirementUi.ts'
import { rightsUi } from './rights/rightsUi.ts'
import { stageUi } from './stage/stageUi.tsx'
import { statementUi } from './statement/statementUi.ts'

const uiByKind = {
  page: pageUi,
  statement: statementUi,
  rights: rightsUi,
  stage: stageUi,
} satisfies { [K in RequirementKind]: RequirementUi<K> }

export function uiOf<K extends RequirementKind>(kind: K): RequirementUi<K> {
  // What stands under a kind is that of requirements of this kind, which the compiler does not follow.
  return uiByKind[kind] as unknown as RequirementUi<K>
}
