// Checking a sealed copy: every byte of it is read again and held against manifest, receipt, signature and database.
import { createHash } from 'node:crypto'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { findCopyFaults } from '@valise/core/submissions'
import type { CopyCheck, FoundFile, JsonValue, TextToVerify } from '@valise/core/submissions'
import type { Reader } from '../database/index.ts'
import { errorCodeOf } from '../system/index.ts'
import type { FileStore } from '../files/index.ts'
import type { ServerKeys } from '../system/index.ts'
import { getOpened } from './readService.ts'
import { partPath } from './sealedHtml.ts'
import { listFiles, listPinned } from './sealedStore.ts'
import type { PinnedPart, SealedFileRow } from './sealedStore.ts'
import type { StoredSubmission } from './submissionStore.ts'

const MANIFEST = 'manifest.json'
const FACTS = 'submission.json'

export async function checkCopy(
  { reader, files, keys }: { readonly reader: Reader; readonly files: FileStore; readonly keys: ServerKeys },
  actor: PersonActor,
  id: string,
): Promise<CopyCheck> {
  const stored = await getOpened(reader, actor, id)
  if (stored.number === null) throw new AppError('not-found', 'not-found')
  const { receipt, signature, manifestSha256 } = stored
  const parts = await listPinned(reader, id)
  const recorded = recordedTexts(stored, parts)
  const wanted = [MANIFEST, ...recorded.map(({ path }) => path)]
  const texts = new Map<string, string>()
  const found: FoundFile[] = []
  for (const row of await listFiles(reader, id)) {
    const read = await readBack(files, row, wanted.includes(row.path))
    if (read?.text !== undefined) texts.set(row.path, read.text)
    found.push({ path: row.path, bytes: row.bytes, sha256: row.fileSha256, found: read })
  }
  const faults = findCopyFaults({
    ...{ receipt: receipt ?? '', manifestSha256: manifestSha256 ?? '', files: found, manifestPath: MANIFEST },
    isSigned: receipt !== null && signature !== null && keys.isSigned(receipt, signature),
    recorded: recordedReceipt(stored, parts, readFacts(texts.get(FACTS))),
    manifest: texts.get(MANIFEST) ?? '',
    texts: recorded.map(({ path, ...rest }) => ({ path, text: texts.get(path) ?? '', ...rest })),
  })
  return { agrees: faults.length === 0, files: found.length, faults }
}

/** What a file is on the disk now; null where it is not there. */
async function readBack(
  files: FileStore,
  { fileSha256 }: SealedFileRow,
  isText: boolean,
): Promise<{ bytes: number; sha256: string; text?: string } | null> {
  const hash = createHash('sha256')
  const chunks: Buffer[] = []
  let bytes = 0
  try {
    for await (const chunk of await files.open(fileSha256)) {
      hash.update(chunk)
      bytes += chunk.length
      if (isText) chunks.push(Buffer.from(chunk))
    }
  } catch (error) {
    if (!['not-found', 'ENOENT'].includes(errorCodeOf(error))) throw error
    return null
  }
  const sha256 = hash.digest('hex')
  return isText ? { bytes, sha256, text: Buffer.concat(chunks).toString('utf8') } : { bytes, sha256 }
}

/** What the receipt must say, by the database. Names are held against the sealed file: people change theirs later. */
function recordedReceipt(
  stored: StoredSubmission,
  parts: readonly PinnedPart[],
  facts: Readonly<Record<string, JsonValue>>,
): Readonly<Record<string, JsonValue>> {
  const { number, n, requestedAt, sealedAt, dueAt, lateMinutes, terms, asHandedIn } = stored
  const { assignment, className, classCode } = (facts['to'] ?? {}) as Record<string, JsonValue>
  return {
    ...{ number, n, requestedAt, sealedAt, dueAt, lateMinutes },
    terms: terms as unknown as JsonValue,
    gaps: asHandedIn.readiness.filter(({ isThere }) => !isThere).map(({ id }) => id),
    parts: parts.map(({ kind, title, copy }) => ({ kind, title, copy })),
    from: facts['from'] ?? null,
    to: { className: className ?? null, classCode: classCode ?? null, assignment: assignment ?? null },
  }
}

/** The sealed files whose content the database holds as well, since screens read it there. */
function recordedTexts(
  { id, n, requestedAt, dueAt, lateMinutes, asHandedIn, terms }: StoredSubmission,
  parts: readonly PinnedPart[],
): Omit<TextToVerify, 'text'>[] {
  const listed = parts.map(({ n: place, kind, thingId, title, copy }) => ({
    ...{ n: place, kind, thingId, title, copy },
  }))
  const facts = { id, n, requestedAt, dueAt, lateMinutes, ...asHandedIn, terms, parts: listed }
  return [
    // All of it came out of columns as JSON.
    { path: FACTS, recorded: facts as unknown as Readonly<Record<string, JsonValue>> },
    ...parts.map(({ n: place, document, shown, statements }) => ({
      path: partPath(place, 'document.json'),
      recorded: { document, shown, statements } as unknown as Readonly<Record<string, JsonValue>>,
    })),
  ]
}

function readFacts(text = '{}'): Readonly<Record<string, JsonValue>> {
  try {
    return JSON.parse(text)
  } catch {
    // A file that cannot be read fails by its hash.
    return {}
  }
}
