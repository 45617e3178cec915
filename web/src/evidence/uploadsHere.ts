// What is coming in from this window, as the screens follow it; sending itself is fetched when there is something to send.
import type { Upload } from '@valise/core/evidence'
import type { ApiProblem } from '../api/index.ts'
import { createStore } from '../ui/createStore.ts'

export type UploadState = 'waiting' | 'going' | 'pausing' | 'arrived' | 'refused'

export interface UploadHere {
  readonly key: number
  readonly file: File
  /** The item whose next version this is. */
  readonly replaces: string | null
  readonly classId: string | null
  readonly state: UploadState
  readonly sent: number
  readonly uploadId: string | null
  readonly outcome: Upload['outcome']
  readonly problem: ApiProblem | null
}

export const uploadsHere = createStore<readonly UploadHere[]>([])

export const isOnItsWay = ({ state }: UploadHere) =>
  state === 'waiting' || state === 'going' || state === 'pausing'

export interface AddOptions {
  readonly replaces?: string
  readonly classId?: string | null
}

/** Begins to bring files in. One that was begun before, in any window, is gone on with. */
export async function addFiles(files: readonly File[], options: AddOptions = {}): Promise<void> {
  const { sendFiles } = await import('./sendFiles.ts')
  await sendFiles(files, options)
}
