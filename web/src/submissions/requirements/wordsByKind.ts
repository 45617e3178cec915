// The list of the kinds of requirements, with what each is called; apart from their forms, since Today needs it at once.
import type { RequirementKind } from '@valise/core/assignments'
import { pageWords } from './page/pageWords.ts'
import type { RequirementWords } from './RequirementWords.ts'
import { rightsWords } from './rights/rightsWords.ts'
import { stageWords } from './stage/stageWords.ts'
import { statementWords } from './statement/statementWords.ts'

const wordsByKind = {
  page: pageWords,
  statement: statementWords,
  rights: rightsWords,
  stage: stageWords,
} satisfies { [K in RequirementKind]: RequirementWords<K> }

export function wordsOf<K extends RequirementKind>(kind: K): RequirementWords<K> {
  // The words under a kind are those of requirements of this kind, which the compiler does not follow.
  return wordsByKind[kind] as unknown as RequirementWords<K>
}
