// Pages as parts: published, or as they stand in the draft.
import { listPresentDrafts } from '../../drafts/index.ts'
import { findPublished, findSeenPage, listOwnPages } from '../../pages/index.ts'
import type { PartStore } from './PartStore.ts'

export const page: PartStore = {
  listPresent: listPresentDrafts,

  listPublished: async (reader, actor, ids) =>
    (await listOwnPages(reader, actor, ids)).flatMap(({ id, published }) =>
      published ? [{ ...published, id }] : [],
    ),

  findForOthers: async (reader, viewer, id) => {
    const seen = await findSeenPage(reader, viewer, id)
    if (!seen) return null
    return {
      published: seen.published === null ? null : await findPublished(reader, id, seen.published),
    }
  },
}
