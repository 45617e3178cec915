// Background work on entries: those written before there was an index of words are found by their words too.
import { ownerActor } from '@valise/core/people'
import { inTransaction } from '../database/index.ts'
import type { Database } from '../database/index.ts'
import { listPresentDrafts } from '../drafts/index.ts'
import type { JobHandler, Jobs } from '../jobs/index.ts'
import { indexEntry, listUnindexedEntries } from './entryStore.ts'
import { wordsIn } from './service.ts'

const INDEX_ENTRIES = 'index-entries'
const AT_ONCE = 100

interface EntryServices {
  readonly database: Database
  readonly jobs: Jobs
}

export function entryJobs({
  database,
}: Pick<EntryServices, 'database'>): Readonly<Record<string, JobHandler>> {
  return { [INDEX_ENTRIES]: { run: () => indexEntries(database) } }
}

/** Schedules the indexing, unless it is scheduled already. */
export function planEntryIndex({ database, jobs }: EntryServices): Promise<void> {
  return inTransaction(database, async (trx) => {
    await jobs.enqueue(trx, { kind: INDEX_ENTRIES, payload: {}, dedupeKey: INDEX_ENTRIES })
  })
}

async function indexEntries(database: Database): Promise<void> {
  for (;;) {
    const isDone = await inTransaction(database, async (trx) => {
      const some = await listUnindexedEntries(trx, AT_ONCE)
      for (const { id, ownerId } of some) {
        const [draft] = await listPresentDrafts(trx, ownerActor(ownerId), [id])
        // Indexed in any case, since whatever is left would be asked for again without end.
        await indexEntry(trx, id, draft ? wordsIn(draft.document) : '')
      }
      return some.length < AT_ONCE
    })
    if (isDone) return
  }
}
