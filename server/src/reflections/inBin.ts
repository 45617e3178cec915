// Logbooks and entries in the bin.
import { AppError } from '@valise/core/problems'
import { removeWords } from '../search/index.ts'
import { usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'
import { listEntrySearchRows } from './entryStore.ts'
import { countEntriesOf } from './logbookStore.ts'

export const entryInBin: InBin = {
  ...usualInBin,

  beforeRemoval: async (trx, _jobs, things) =>
    removeWords(
      trx,
      await listEntrySearchRows(
        trx,
        things.map(({ id }) => id),
      ),
    ),
}

export const logbookInBin: InBin = {
  ...usualInBin,

  // Entries are put away one by one.
  assertMayGo: async (reader, { id }) => {
    if ((await countEntriesOf(reader, id)) > 0) throw new AppError('conflict', 'logbook-not-empty')
  },

  mayGoAtOnce: async () => true,
}
