// What is coming in from this window, as the screens follow it.
import type { Moment, Upload } from '@valise/core/evidence'
import type { PictureRecipe } from '@valise/core/pictures'
import type { ApiProblem } from '../../api/index.ts'
import { createStore } from '../../ui/createStore.ts'

/** `pausing` waits for the connection and resumes by itself; `paused` waits for the person. */
export type UploadState = 'waiting' | 'going' | 'pausing' | 'paused' | 'arrived' | 'refused'

export interface UploadHere {
  readonly key: number
  readonly file: File
  /** The item whose next version this is. */
  readonly replaces: string | null
  readonly landing: UploadLanding
  readonly state: UploadState
  readonly sent: number
  readonly uploadId: string | null
  readonly outcome: Upload['outcome']
  readonly problem: ApiProblem | null
}

/** Where a file goes, what is known of it already, and who is notified. */
export interface UploadLanding {
  readonly classId?: string | null
  readonly assignmentId?: string
  /** It comes from one's own camera or microphone. */
  readonly isMine?: boolean
  /** How long a recording is. */
  readonly durationMs?: number
  /** How the picture is put right from the beginning. */
  readonly recipe?: PictureRecipe
  /** The item that a recording speaks of, and what it points at. */
  readonly about?: string
  readonly moments?: readonly Moment[]
  /** For a slot that wants the item itself. */
  readonly onSaved?: (evidenceId: string) => void
  readonly onArrived?: () => void
  readonly onRefused?: (problem: ApiProblem) => void
}

export const uploadsHere = createStore<readonly UploadHere[]>([])

export const isUploading = ({ state }: UploadHere) => state !== 'arrived' && state !== 'refused'

/** Returns whether the screen at a path lists uploads; the others link to one that does. */
export const listsUploads = (pathname: string) =>
  pathname === '/' || (pathname.startsWith('/evidence') && !/\/(bench|collage)$/.test(pathname))
