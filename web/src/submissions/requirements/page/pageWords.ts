// A page that holds certain content, in words.
import type { RequirementWords } from '../RequirementWords.ts'

export const pageWords: RequirementWords<'page'> = {
  wanted: ({ pieces }, say) =>
    pieces.length === 0 ? say.t('wanted.anyPage') : say.t('wanted.page', { pieces: say.pieces(pieces) }),
  found: ({ result }, say) => {
    if (result.page === null) return say.t('found.noPage')
    const page = result.page || say.t('untitled')
    if (result.isThere) return say.t('found.page', { page })
    const missing = result.pieces
      .filter(({ there, atLeast }) => there < atLeast)
      .map(({ sort, there, atLeast }) => ({ sort, atLeast: atLeast - there }))
    return missing.length === 0
      ? say.t('found.noPage')
      : say.t('found.pageLacks', { page, pieces: say.pieces(missing) })
  },
}
