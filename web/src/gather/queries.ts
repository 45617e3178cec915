// What the ways in ask of the server: links, collages, the shared drive, the picture shelf, the lent camera.
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type {
  DriveFolder,
  Evidence,
  FromDrive,
  FromShelf,
  Landing,
  LentCamera,
  PreviewedLink,
  NewLink,
  PhoneLink,
  PhoneState,
  ShelfPage,
} from '@valise/core/evidence'
import type { NewCollage } from '@valise/core/pictures'
import { ask, get, withQuery } from '../api/index.ts'

const PHONE_LOOK_MS = 2000

export const gatherQueries = {
  all: () => ['gather'] as const,
  folder: (id: string | null) =>
    queryOptions({
      queryKey: [...gatherQueries.all(), 'folder', id],
      queryFn: ({ signal }) =>
        get<DriveFolder>(id === null ? '/api/drive/folders' : `/api/drive/folders/${id}`, signal),
      staleTime: 0,
    }),
  shelf: (words: string) =>
    queryOptions({
      queryKey: [...gatherQueries.all(), 'shelf', words],
      queryFn: ({ signal }) => get<ShelfPage>(withQuery('/api/picture-shelf', { words }), signal),
    }),
  phone: (id: string) =>
    queryOptions({
      queryKey: [...gatherQueries.all(), 'phone', id],
      queryFn: ({ signal }) => ask<PhoneState>('GET', `/api/phone-links/${id}`, { signal, background: true }),
      refetchInterval: ({ state }) => (state.data?.state === 'ended' ? false : PHONE_LOOK_MS),
      staleTime: 0,
    }),
  lent: () =>
    queryOptions({
      queryKey: [...gatherQueries.all(), 'lent'],
      queryFn: ({ signal }) => get<LentCamera>('/api/phone', signal),
      retry: false,
    }),
}

export function smallPictureAddress(pictureId: string): string {
  return `/api/picture-shelf/${pictureId}/small`
}

export function usePreviewLink() {
  return useMutation({
    mutationFn: (address: string) => ask<PreviewedLink>('POST', '/api/links/preview', { body: { address } }),
  })
}

/** What became evidence by any of these ways is shown wherever evidence is. */
function useSaving<V>(save: (wish: V) => Promise<Evidence>) {
  return useMutation({ meta: { showsSaving: true, changes: ['evidence'] }, mutationFn: save })
}

export function useSaveLink() {
  return useSaving((body: NewLink) => ask<Evidence>('POST', '/api/links', { body }))
}

export function useSaveFromDrive() {
  return useSaving((body: FromDrive) => ask<Evidence>('POST', '/api/drive/documents', { body }))
}

export function useSaveFromShelf() {
  return useSaving((body: FromShelf) => ask<Evidence>('POST', '/api/picture-shelf/taken', { body }))
}

export function useBeginCollage() {
  return useSaving((body: NewCollage) => ask<Evidence>('POST', '/api/collages', { body }))
}

export function useReportPicture() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ pictureId, words }: { pictureId: string; words: string }) =>
      ask<undefined>('POST', `/api/picture-shelf/${pictureId}/reports`, { body: { words } }),
    onSuccess: () => client.invalidateQueries({ queryKey: [...gatherQueries.all(), 'shelf'] }),
  })
}

export function lendCamera(landing: Landing): Promise<PhoneLink> {
  return ask<PhoneLink>('POST', '/api/phone-links', { body: landing })
}

export function endLending(): Promise<undefined> {
  return ask<undefined>('DELETE', '/api/phone-links')
}
