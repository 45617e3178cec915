// What the screens know of guides and copies, and what they can have done with them.
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type {
  GuideContent,
  GuideCopy,
  GuideCopyReading,
  GuideProgress,
  GuideRow,
  NewFeedbackOnCopy,
  NewGuideEntry,
  StageOpeningWish,
} from '@valise/core/guides'
import { ask, get } from '../api/index.ts'
import { offeredApi } from '../offers/index.ts'
import { copyPath } from './starting.ts'

export const guideApi = offeredApi<GuideContent>('/api/guides', 'guides')

const follows = ['guides', 'submissions', 'bin'] as const

export const guideQueries = {
  ...guideApi.queries,
  mine: () =>
    queryOptions({
      queryKey: ['guides', 'mine'],
      meta: { follows },
      queryFn: ({ signal }) => get<GuideRow[]>('/api/guide-copies', signal),
      staleTime: 0,
    }),
  copy: (id: string) =>
    queryOptions({
      queryKey: ['guides', 'copy', id],
      meta: { follows: [...follows, 'evidence', 'pages', 'reflections'] },
      queryFn: ({ signal }) => get<GuideCopy>(copyPath(id), signal),
      staleTime: 0,
    }),
  reading: (id: string) =>
    queryOptions({
      queryKey: ['guides', 'reading', id],
      meta: { follows },
      queryFn: ({ signal }) => get<GuideCopyReading>(`${copyPath(id)}/reading`, signal),
      staleTime: 0,
    }),
  progress: (guideId: string, classId: string) =>
    queryOptions({
      queryKey: ['guides', 'progress', guideId, classId],
      meta: { follows },
      queryFn: ({ signal }) => get<GuideProgress>(`/api/guides/${guideId}/classes/${classId}`, signal),
      staleTime: 0,
    }),
}

/** Writes an entry for a question of a copy. */
export function useCreateGuideEntry(id: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['guides', 'reflections'] },
    mutationFn: ({ key, ...body }: NewGuideEntry & { readonly key: string }) =>
      ask<{ id: string }>('POST', `${copyPath(id)}/entries`, { body, key }),
  })
}

export function useChooseGuideLogbook(id: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['guides'] },
    mutationFn: (logbookId: string) =>
      ask<GuideCopy>('PUT', `${copyPath(id)}/logbook`, { body: { logbookId } }),
  })
}

export function useOpenStage(guideId: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['guides'] },
    mutationFn: (body: StageOpeningWish) =>
      ask<GuideProgress>('PUT', `/api/guides/${guideId}/openings`, { body }),
    onSuccess: (progress) =>
      client.setQueryData(guideQueries.progress(guideId, progress.classId).queryKey, progress),
  })
}

export function useGiveFeedback(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ key, ...body }: NewFeedbackOnCopy & { readonly key: string }) =>
      ask<GuideCopyReading>('POST', `${copyPath(id)}/feedback`, { body, key }),
    onSuccess: (reading) => client.setQueryData(guideQueries.reading(id).queryKey, reading),
  })
}
