// Whether a sealed copy is what was signed: signature, receipt, manifest, files and what the database says of them.
import { toCanonicalJson } from './canonicalJson.ts'
import type { JsonValue } from './canonicalJson.ts'
import type { SealedFile } from './sealedCopy.ts'
import { toManifest } from './sealedCopy.ts'

export const copyFaultKinds = [
  // The signature is not one of this school's over this receipt.
  'signature',
  // The database says something else of the hand-in than the signed receipt.
  'receipt',
  // The list of files is not the one that the receipt names.
  'manifest',
  // A file of the list is not there, or is none of the list.
  'file-missing',
  'file-added',
  // The bytes of a file are others than the list says.
  'file-changed',
  // The database says something else of the work than the sealed files.
  'work',
] as const
type CopyFaultKind = (typeof copyFaultKinds)[number]

export interface CopyFault {
  readonly what: CopyFaultKind
  /** The file that it is about, where it is about one. */
  readonly path: string | null
}

/** A file of the copy as the database lists it, with the content found on disk; null for a missing file. */
export interface FoundFile extends SealedFile {
  readonly found: { readonly bytes: number; readonly sha256: string } | null
}

export interface CopyToVerify {
  readonly receipt: string
  /** Whether the signature over the receipt is right. */
  readonly isSigned: boolean
  readonly manifestSha256: string
  /** Facts of the hand-in as the database has them, by their names in the receipt. */
  readonly recorded: Readonly<Record<string, JsonValue>>
  readonly files: readonly FoundFile[]
  readonly manifest: string
  readonly manifestPath: string
  /** Files that hold what the database has as well: the text that was found and the value that should be in it. */
  readonly texts: readonly TextToVerify[]
}

export interface TextToVerify {
  readonly path: string
  readonly text: string
  /** Members of the JSON in it, by their names. */
  readonly recorded: Readonly<Record<string, JsonValue>>
}

/**
 * Returns everything that does not verify, in both directions: signed but missing, and present but not signed. No
 * faults means that the copy is, byte for byte, what was handed in and signed.
 */
export function findCopyFaults(copy: CopyToVerify): CopyFault[] {
  const faults: CopyFault[] = []
  const add = (what: CopyFaultKind, path: string | null = null) => faults.push({ what, path })
  if (!copy.isSigned) add('signature')
  const receipt = readJson(copy.receipt)
  if (!agreesWith(receipt, copy.recorded)) add('receipt')
  const manifestFile = copy.files.find(({ path }) => path === copy.manifestPath)
  const named = [copy.manifestSha256, manifestFile?.sha256, manifestFile?.found?.sha256]
  if (named.some((sha256) => sha256 !== receipt?.['manifestSha256'])) add('manifest', copy.manifestPath)
  const listed = readManifest(copy.manifest)
  if (listed === null) add('manifest', copy.manifestPath)
  const present = new Map(copy.files.map((file) => [file.path, file]))
  for (const { path, bytes, sha256 } of listed ?? []) {
    const file = present.get(path)
    const found = file?.found ?? null
    if (!file || !found) add('file-missing', path)
    else if ([file, found].some((one) => one.sha256 !== sha256 || one.bytes !== bytes))
      add('file-changed', path)
  }
  const paths = listed && new Set([copy.manifestPath, ...listed.map(({ path }) => path)])
  for (const { path } of copy.files) if (paths && !paths.has(path)) add('file-added', path)
  for (const { path, text, recorded } of copy.texts)
    if (!agreesWith(readJson(text), recorded)) add('work', path)
  return faults.filter(
    (one, n) => faults.findIndex(({ what, path }) => what === one.what && path === one.path) === n,
  )
}

/** The files of a manifest; null where it is not, to the letter, a manifest of ours. */
function readManifest(text: string): readonly SealedFile[] | null {
  const files = readJson(text)?.['files']
  if (!Array.isArray(files)) return null
  const listed = files as readonly SealedFile[]
  return isManifestOf(text, listed) ? listed : null
}

function isManifestOf(text: string, files: readonly SealedFile[]): boolean {
  return (
    files.every(
      (file) =>
        typeof file === 'object' &&
        file !== null &&
        typeof file.path === 'string' &&
        typeof file.bytes === 'number' &&
        typeof file.sha256 === 'string',
    ) && toManifest(files) === text
  )
}

function agreesWith(
  value: Readonly<Record<string, JsonValue>> | null,
  recorded: Readonly<Record<string, JsonValue>>,
): boolean {
  return (
    value !== null &&
    Object.entries(recorded).every(([name, wanted]) => {
      const found = value[name]
      return found !== undefined && toCanonicalJson(found) === toCanonicalJson(wanted)
    })
  )
}

function readJson(text: string): Readonly<Record<string, JsonValue>> | null {
  try {
    const value: unknown = JSON.parse(text)
    return typeof value === 'object' && value !== null && !Array.isArray(value)
      ? (value as Readonly<Record<string, JsonValue>>)
      : null
  } catch {
    // What cannot be read says nothing that could agree.
    return null
  }
}
