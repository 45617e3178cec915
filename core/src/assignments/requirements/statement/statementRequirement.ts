// The student's own words about one item that goes in: all of them about the same one.
import { countStatementWords, itemsGoing } from '../facts.ts'
import type { RequirementDefinition } from '../RequirementDefinition.ts'

const USUAL_WORDS = 60

export const statementRequirement: RequirementDefinition<'statement', 'statements'> = {
  needs: ['statements'],
  create: (id) => ({ id, kind: 'statement', weight: 'must', words: USUAL_WORDS, questions: [] }),
  check(requirement, facts) {
    const counted = itemsGoing(facts).map(({ id, title }) => ({
      id,
      title,
      words: countStatementWords(facts.statements.get(id) ?? ''),
    }))
    const best = counted.reduce<(typeof counted)[number] | null>(
      (found, one) => (found && found.words >= one.words ? found : one),
      null,
    )
    return {
      isThere: best !== null && best.words >= requirement.words,
      words: best?.words ?? 0,
      item: best && best.words > 0 ? { id: best.id, title: best.title } : null,
    }
  },
}
