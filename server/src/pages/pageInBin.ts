// Pages in the bin.
import { getPresentDraft } from '../drafts/index.ts'
import { isReferredTo, usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'

export const pageInBin: InBin = {
  ...usualInBin,

  // Without title, content or readers. Whoever leaves such a page leaves nothing.
  mayGoAtOnce: async (reader, actor, { id, title }) => {
    const { document, revision } = await getPresentDraft(reader, actor, id)
    const isEmpty = revision === 1 && title === '' && document.rows.length === 0
    return isEmpty && !(await isReferredTo(reader, id))
  },
}
