// Copies of guides as parts: by their stages, without the instructions of whoever set them.
import { readableCopy } from '@valise/core/guides'
import type { GuideContent } from '@valise/core/guides'
import { listDraftsAt, listPresentDrafts } from '../../drafts/index.ts'
import { listVersions } from '../../offers/index.ts'
import type { PartStore } from './PartStore.ts'

export const guideCopy: PartStore = {
  listPresent: async (reader, actor, ids, asOf) => {
    const drafts = await (asOf === null
      ? listPresentDrafts(reader, actor, ids)
      : listDraftsAt(reader, actor, ids, asOf))
    const wanted = drafts.flatMap(({ document }) => document.sheet ?? [])
    const versions = await listVersions<GuideContent>(reader, wanted)
    return drafts.map(({ id, document, revision }) => {
      const along = versions.find(
        ({ id: guideId, n }) => guideId === document.sheet?.id && n === document.sheet.n,
      )
      return { id, revision, document: along ? readableCopy(document, along.content) : document }
    })
  },

  listPublished: async () => [],
  findForOthers: async () => null,
}
