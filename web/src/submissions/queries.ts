// What the screens know of handing in, sealed copies and the review desk.
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query'
import type { Feedback } from '@valise/core/feedback'
import type {
  CopyCheck,
  HandIn,
  Queue,
  ReadingStep,
  SealedPart,
  Submission,
  SubmissionList,
  SubmissionRow,
  TodayPlan,
} from '@valise/core/submissions'
import { get, withQuery } from '../api/index.ts'

export type QueueShelf = 'to-read' | 'read'

/** How often a screen looks again while something is being sealed. */
const LOOK_AGAIN_MS = 1000

export const submissionQueries = {
  all: () => ['submissions'] as const,
  today: () =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'today'],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<TodayPlan>('/api/today', signal),
      // Every page, item and answer can change what is next.
      staleTime: 0,
    }),
  handIn: (assignmentId: string) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'hand-in', assignmentId],
      meta: { follows: ['submissions', 'evidence', 'bin'] },
      queryFn: ({ signal }) => get<HandIn>(handInPath(assignmentId), signal),
      staleTime: 0,
      refetchInterval: ({ state }) => (state.data?.latest?.state === 'sealing' ? LOOK_AGAIN_MS : false),
    }),
  list: () =>
    infiniteQueryOptions({
      queryKey: [...submissionQueries.all(), 'list'],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        get<SubmissionList>(withQuery('/api/submissions', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      staleTime: 0,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'one', id],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<Submission>(submissionPath(id), signal),
      staleTime: 0,
      refetchInterval: ({ state }) => (state.data?.state === 'sealing' ? LOOK_AGAIN_MS : false),
    }),
  part: (id: string, n: number) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'part', id, n],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<SealedPart>(`${submissionPath(id)}/parts/${n}`, signal),
      staleTime: 0,
    }),
  check: (id: string) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'check', id],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<CopyCheck>(`${submissionPath(id)}/check`, signal),
    }),
  feedback: (id: string) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'feedback', id],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<Feedback[]>(`${submissionPath(id)}/feedback`, signal),
      staleTime: 0,
    }),
  ofPage: (pageId: string) =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'page', pageId],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) =>
        get<{ submissions: SubmissionRow[]; feedback: Feedback[] }>(`/api/pages/${pageId}/feedback`, signal),
      staleTime: 0,
    }),
  reading: () =>
    queryOptions({
      queryKey: [...submissionQueries.all(), 'reading'],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ signal }) => get<ReadingStep[]>('/api/review-desk', signal),
      staleTime: 0,
    }),
  /** @param assignmentId null for the queue over all assignments */
  queue: (assignmentId: string | null, shelf: QueueShelf) =>
    infiniteQueryOptions({
      queryKey: [...submissionQueries.all(), 'queue', assignmentId ?? 'all', shelf],
      meta: { follows: ['submissions', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        get<Queue>(withQuery(queuePath(assignmentId), { cursor: pageParam, shelf }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      staleTime: 0,
    }),
}

export function handInPath(assignmentId: string): string {
  return `/api/assignments/${assignmentId}/hand-in`
}

function queuePath(assignmentId: string | null): string {
  return assignmentId === null ? '/api/review-desk/queue' : `/api/assignments/${assignmentId}/queue`
}

export function submissionPath(id: string): string {
  return `/api/submissions/${id}`
}
