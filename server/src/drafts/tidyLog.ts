// Compacts the log of edits: typing in one piece becomes one edit.
import { minutesBetween, toMinute } from '@valise/core/time'
import type { Trx } from '../database/index.ts'
import { listEditsBetween, mergeEdits, writtenAtOf } from './store.ts'
import type { StoredEdit } from './store.ts'

const ONE_WRITING_MINUTES = 5

/**
 * Merges consecutive edits that only write the same piece, within five minutes.
 *
 * The last edit stays, since it contains the others, and takes over the inverse of the first.
 *
 * @param keepsMinutes whether edits of different minutes stay apart, so that the draft can be had as it was at any minute
 */
export async function tidyLog(
  trx: Trx,
  draftId: string,
  { after, upTo, keepsMinutes }: TidyWish,
): Promise<void> {
  const edits = await listEditsBetween(trx, draftId, after, upTo)
  for (const run of runsOf(edits, keepsMinutes)) {
    const [first, last] = [run[0], run.at(-1)]
    if (!first || !last || first === last) continue
    const gone = run.slice(0, -1).map(({ revision }) => revision)
    await mergeEdits(trx, draftId, gone, { revision: last.revision, inverse: first.inverse })
  }
}

interface TidyWish {
  readonly after: number
  readonly upTo: number
  readonly keepsMinutes: boolean
}

function runsOf(edits: readonly StoredEdit[], keepsMinutes: boolean): StoredEdit[][] {
  const runs: StoredEdit[][] = []
  for (const edit of edits) {
    const run = runs.at(-1)
    const first = run?.[0]
    if (run && first && isOneWriting(first, edit) && !(keepsMinutes && minuteOf(first) !== minuteOf(edit)))
      run.push(edit)
    else runs.push([edit])
  }
  return runs
}

function isOneWriting(first: StoredEdit, edit: StoredEdit): boolean {
  const written = writtenPiece(edit)
  return (
    written !== null &&
    written === writtenPiece(first) &&
    edit.personId === first.personId &&
    edit.windowId === first.windowId &&
    minutesBetween(writtenAtOf(first), writtenAtOf(edit)) <= ONE_WRITING_MINUTES
  )
}

function minuteOf(edit: StoredEdit): string {
  return toMinute(writtenAtOf(edit))
}

function writtenPiece({ operations }: StoredEdit): string | null {
  const [operation] = operations
  return operations.length === 1 && operation?.op === 'set-piece' ? operation.piece.id : null
}
