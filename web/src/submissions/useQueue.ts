// The queue that stands beside a copy, and the ways from copy to copy.
import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query'
import type { Submission, SubmissionRow } from '@valise/core/submissions'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { createStore } from '../ui/createStore.ts'
import { fetchMore } from '../ui/fetchMore.ts'
import { submissionQueries } from './queries.ts'
import type { QueueShelf } from './queries.ts'
import { around, nextToRead } from './queueOrder.ts'

/**
 * @param assignmentId null for the queue over all assignments
 */
export function queueAddress(assignmentId: string | null): string {
  return assignmentId === null ? '/review-desk' : `/review-desk/${assignmentId}`
}

/** Returns the address of a copy in the queue of its assignment, or of all (null). */
export function copyAddress(id: string, assignmentId: string | null): string {
  return assignmentId === null ? `/submissions/${id}?queue=all` : `/submissions/${id}`
}

/**
 * Copies that were answered in this window: they leave the queue at once, while lists from before still hold them. It
 * outlives the screen, which is another for each copy.
 */
const answered = createStore<ReadonlySet<string>>(new Set())

export interface DeskQueueState {
  readonly assignmentId: string | null
  readonly query: ReturnType<typeof useQueueQuery>
  /** As much of the queue as was fetched. */
  readonly rows: readonly SubmissionRow[]
  readonly shelf: QueueShelf
  readonly setShelf: (shelf: QueueShelf) => void
  /** The copy that comes next; null where it is not known or there is none. */
  readonly next: SubmissionRow | null
  /** The copy that an answer goes on to; null where it is not known or nothing else is to be read. */
  readonly following: SubmissionRow | null
  /** Opens the next copy or the one before. @returns false where there is none */
  readonly move: (to: 'next' | 'before') => Promise<boolean>
  /** Leaves a copy that is being answered for the next that is to be read, or for the empty desk. */
  readonly goOn: (from: Submission) => Promise<void>
  /** An answer did not come about or was undone: its copy is to be read again. */
  readonly comeBack: (id: string) => void
}

/**
 * Loads the queue.
 *
 * @param present the open copy
 * @param firstShelf the shelf of that copy; shown until another is chosen
 */
export function useQueue(
  assignmentId: string | null,
  present: Submission | null,
  firstShelf: QueueShelf,
): DeskQueueState {
  const client = useQueryClient()
  const navigate = useNavigate()
  const [chosen, setShelf] = useState<QueueShelf | null>(null)
  const shelf = chosen ?? firstShelf
  const query = useQueueQuery(assignmentId, shelf)
  const gone = answered.use()
  const rowsOf = (data: typeof query.data) =>
    (data?.pages.flatMap(({ items }) => items) ?? []).filter(
      ({ id, state }) => state !== 'with-assessor' || !gone.has(id),
    )
  const rows = rowsOf(query.data)
  const { before, next } = around(rows, present, shelf === 'read')
  const following = present ? nextToRead(toRead(rows), present) : null
  const fetched = [next?.id, following?.id].join()

  useEffect(() => {
    // So that it can be answered at once; only opening it is written down, and this does not.
    for (const id of new Set(fetched.split(',')))
      if (id !== '') void client.prefetchQuery(submissionQueries.one(id))
  }, [client, fetched])

  const open = (row: SubmissionRow) =>
    navigate(copyAddress(row.id, assignmentId), { state: { isPutRight: true, toAnswer: true } })
  const withMore = async () => (query.hasNextPage ? rowsOf(await fetchMore(query)) : rows)

  return {
    ...{ assignmentId, query, rows, shelf, setShelf, next, following },
    move: async (to) => {
      const known = to === 'next' ? next : before
      const row = known ?? (to === 'next' ? around(await withMore(), present, shelf === 'read').next : null)
      if (row) await open(row)
      return row !== null
    },
    goOn: async (from) => {
      answered.set(new Set(gone).add(from.id))
      const row = around(toRead(rows), from).next ?? nextToRead(toRead(await withMore()), from)
      await (row ? open(row) : navigate(queueAddress(assignmentId)))
    },
    comeBack: (id) => {
      answered.set(new Set([...answered.get()].filter((one) => one !== id)))
      setShelf(null)
    },
  }
}

function toRead(rows: readonly SubmissionRow[]): SubmissionRow[] {
  return rows.filter(({ state }) => state === 'with-assessor')
}

function useQueueQuery(assignmentId: string | null, shelf: QueueShelf) {
  return useInfiniteQuery(submissionQueries.queue(assignmentId, shelf))
}
