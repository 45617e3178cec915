// What the screens know of files on their way in.
import { queryOptions } from '@tanstack/react-query'
import type { Upload, Uploads } from '@valise/core/evidence'
import { ask, get } from '../api/index.ts'

export const uploadQueries = {
  open: () =>
    queryOptions({
      queryKey: ['uploads'],
      queryFn: ({ signal }) => get<Uploads>('/api/uploads', signal),
      staleTime: 0,
    }),
}

/** What an upload became, asked once it has arrived. */
export function getUpload(id: string): Promise<Upload> {
  return get<Upload>(`/api/uploads/${id}`)
}

/** What this person began and has not finished. */
export function listUploads(): Promise<Uploads> {
  return get<Uploads>('/api/uploads')
}

/** Gives up a file that is on its way. The protocol wants its version named. */
export function giveUpUpload(id: string): Promise<undefined> {
  return ask<undefined>('DELETE', `/api/uploads/${id}`, { headers: { 'tus-resumable': '1.0.0' } })
}
