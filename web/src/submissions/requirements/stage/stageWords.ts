// A stage of a guide, in words.
import { textIn } from '@valise/core/people'
import type { RequirementWords } from '../RequirementWords.ts'

export const stageWords: RequirementWords<'stage'> = {
  wanted: ({ name }, { t, language }) => t('wanted.stage', { name: textIn(name, language) }),
  found: ({ result }, { t, list, language }) => {
    if (result.isThere) return t('found.stage')
    const missing = result.missing.map(({ asks }) => t('found.asked', { asks: textIn(asks, language) }))
    return missing.length === 0 ? t('found.stageBlank') : t('found.stageLacks', { list: list(missing) })
  },
}
