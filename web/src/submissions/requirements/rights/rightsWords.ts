// Who made each item, in words.
import type { RequirementWords } from '../RequirementWords.ts'

const TITLES_SHOWN = 3

export const rightsWords: RequirementWords<'rights'> = {
  wanted: (_, { t }) => t('wanted.rights'),
  found: ({ result }, { t, list }) => {
    if (result.isThere) return t('found.rights', { count: result.items })
    const titles = result.undeclared.map(({ title }) => title).slice(0, TITLES_SHOWN)
    return titles.length === 0 ? t('found.nothingIn') : t('found.undeclared', { titles: list(titles) })
  },
}
