// Items of evidence as parts: each as a page that shows it alone.
import { newDocument, newEvidencePiece } from '@valise/core/pages'
import type { EvidenceKind } from '@valise/core/evidence'
import { getSchool } from '../../people/index.ts'
import { listItems } from '../choiceStore.ts'
import type { PartStore } from './PartStore.ts'

/** The piece by which an item that is a part of its own is shown. */
const ITEM_PIECE = 'item'

export const evidence: PartStore = {
  listPresent: async (reader, actor, ids) => {
    const { language } = await getSchool(reader)
    const items = await listItems(reader, actor, ids)
    return items.map(({ id, kind, title }) => {
      // The column holds one of the kinds, because only `saveFile` writes it.
      const piece = newEvidencePiece(ITEM_PIECE, { id, kind: kind as EvidenceKind }, 12)
      const document = newDocument(title, language, [{ id: ITEM_PIECE, pieces: [piece] }])
      return { id, document, revision: null }
    })
  },

  listPublished: async () => [],
  findForOthers: async () => null,
}
