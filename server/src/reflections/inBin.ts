// Logbooks and entries in the bin.
import { AppError } from '@valise/core/problems'
import { usualInBin } from '../things/index.ts'
import type { InBin } from '../things/index.ts'
import { countEntriesOf } from './store.ts'

export const entryInBin: InBin = usualInBin

export const logbookInBin: InBin = {
  ...usualInBin,

  // Entries are put away one by one.
  assertMayGo: async (reader, { id }) => {
    if ((await countEntriesOf(reader, id)) > 0) throw new AppError('conflict', 'logbook-not-empty')
  },

  mayGoAtOnce: async () => true,
}
