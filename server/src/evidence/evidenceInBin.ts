// Evidence in the bin: what else shows it or is found by it.
import { usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'
import { removeWords } from '../search/index.ts'
import { listSimilar, refreshSimilarity } from './alikeStore.ts'
import { refreshCollagesWith } from './collagePictureStore.ts'
import { listItems } from './queryStore.ts'
import { listSearchRows } from './wordsStore.ts'

export const evidenceInBin: InBin = {
  ...usualInBin,

  afterMove: async (trx, things) => {
    const ids = things.map(({ id }) => id)
    await refreshSimilarity(trx, [...ids, ...(await listSimilar(trx, ids))])
  },

  beforeRemoval: async (trx, jobs, things) => {
    const ids = things.map(({ id }) => id)
    await removeWords(trx, await listSearchRows(trx, ids))
    for (const id of ids) await refreshCollagesWith(trx, jobs, id, null, true)
  },

  listItems,
}
