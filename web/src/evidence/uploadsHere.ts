// What is coming in from this window, as the screens follow it.
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
