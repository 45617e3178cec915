// Whether a file may come in, and whether it may replace another.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import { MOST_OPEN_UPLOADS } from './valueLists.ts'
import type { EvidenceKind } from './valueLists.ts'

export interface UploadLimits {
  /** Bytes that one file may have. */
  readonly largest: number
  /** Bytes that one person may keep, versions and what is on its way included. */
  readonly quota: number
}

export interface UploadWish {
  readonly bytes: number
  /** What the person keeps already, with what is on its way. */
  readonly usedBytes: number
  readonly openUploads: number
}

/**
 * Decides whether an upload fits the limits. Sizes in refusals are whole mebibytes, rounded so that the named limit
 * is never one that the file meets.
 */
export function decideUpload(wish: UploadWish, limits: UploadLimits): Decision {
  if (wish.bytes === 0) return no('file-empty')
  if (wish.bytes > limits.largest) return no('file-too-large', { most: toMegabytes(limits.largest) })
  if (wish.usedBytes + wish.bytes > limits.quota) {
    return no('quota-full', { left: toMegabytes(Math.max(0, limits.quota - wish.usedBytes)) })
  }
  return wish.openUploads >= MOST_OPEN_UPLOADS ? no('too-many-uploads', { most: MOST_OPEN_UPLOADS }) : yes
}

/** Refuses a new version of another kind, because pages show the newest version by its kind. */
export function decideNewVersion(present: EvidenceKind, next: EvidenceKind): Decision {
  return present === next ? yes : no('other-kind')
}

function toMegabytes(bytes: number): number {
  return Math.floor(bytes / 1_048_576)
}
