// What a sealed copy consists of: its manifest, which is checked, and the receipt, which is signed.
import type { Localized } from '../people/index.ts'
import type { Instant } from '../time/index.ts'
import { toCanonicalJson } from './canonicalJson.ts'
import type { JsonValue } from './canonicalJson.ts'
import type { SealedPartRow } from './schema.ts'

export interface SealedFile {
  /** Within the sealed copy, with slashes. */
  readonly path: string
  readonly bytes: number
  /** In hex, lower case. */
  readonly sha256: string
}

/** Returns the manifest: every file of the copy by path, canonical, so that the same files give the same text. */
export function toManifest(files: readonly SealedFile[]): string {
  const sorted = [...files].sort((a, b) => (a.path < b.path ? -1 : 1))
  return toCanonicalJson({
    schema: 1,
    files: sorted.map(({ path, bytes, sha256 }) => ({ path, bytes, sha256 })),
  })
}

/** The content of a receipt, which proves what was handed in, and when. */
export interface ReceiptFacts {
  readonly number: string
  readonly school: string
  /** As others see the student, and as the school knows them. */
  readonly from: { readonly shownName: string; readonly fullName: string }
  readonly to: { readonly className: string; readonly classCode: string; readonly assignment: Localized }
  readonly n: number
  readonly requestedAt: Instant
  readonly sealedAt: Instant
  readonly dueAt: Instant | null
  readonly lateMinutes: number
  /** Only where it was handed in automatically when it was due. */
  readonly byItself?: true
  /** Only where some of it came after it was due, and its device says that it was written before: when it came. */
  readonly cameAt?: Instant
  readonly parts: readonly Pick<SealedPartRow, 'kind' | 'title' | 'copy'>[]
  readonly gaps: readonly string[]
  readonly terms: readonly Localized[]
  readonly files: number
  readonly bytes: number
  readonly manifestSha256: string
}

/** Returns the signed text of a receipt: canonical JSON of its facts. */
export function toReceiptText(facts: ReceiptFacts): string {
  const { parts, ...rest } = facts
  const listed = parts.map(({ kind, title, copy }) => ({ kind, title, copy }))
  return toCanonicalJson({ schema: 1, ...rest, parts: listed } as unknown as JsonValue)
}

/** Returns the readable number of a sealed copy. */
export function toReceiptNumber(prefix: string, count: number): string {
  return `${prefix}-${String(count).padStart(4, '0')}`
}

/** Returns the letters of a school's receipt numbers: the initials of the first two words of its name. */
export function receiptPrefixOf(schoolName: string): string {
  const words = schoolName.match(/\p{L}+/gu) ?? []
  const letters = words.slice(0, 2).map((word) => [...word][0]?.toUpperCase() ?? '')
  return letters.join('') || 'V'
}
