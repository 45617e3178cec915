// What the screens know of files on their way in.
import { queryOptions } from '@tanstack/react-query'
import type { Upload, Uploads } from '@valise/core/evidence'
import { ask, get } from '../../api/index.ts'

export const uploadQueries = {
  open: () =>
    queryOptions({
      queryKey: ['uploads'],
      queryFn: ({ signal }) => get<Uploads>('/api/uploads', signal),
      staleTime: 0,
    }),
}

/** Fetches what an upload became, once it has arrived. */
export function getUpload(id: string): Promise<Upload> {
  return get<Upload>(`/api/uploads/${id}`)
}

/** Fetches this person's unfinished uploads. */
export function listUploads(): Promise<Uploads> {
  return get<Uploads>('/api/uploads')
}

/** Cancels an upload. The protocol requires its version header. */
export function giveUpUpload(id: string): Promise<undefined> {
  return ask<undefined>('DELETE', `/api/uploads/${id}`, { headers: { 'tus-resumable': '1.0.0' } })
}
