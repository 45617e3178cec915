// The student's own words about one item, in words.
import type { RequirementWords } from '../RequirementWords.ts'

export const statementWords: RequirementWords<'statement'> = {
  wanted: ({ questions, words: count }, { t }) =>
    t(questions.length > 0 ? 'wanted.statementAlong' : 'wanted.statement', { count }),
  found: ({ requirement, result }, { t }) => {
    if (result.item === null) return t('found.noWords')
    const words = { count: result.words, title: result.item.title, least: requirement.words }
    return t(result.isThere ? 'found.words' : 'found.fewWords', words)
  },
}
