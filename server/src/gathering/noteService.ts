// Notes: evidence that is written here. What is written together is one version; who comes back later begins another.
import type { Evidence, Landing } from '@valise/core/evidence'
import { isRichText, renderText, toPlainText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { minutesBetween } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import {
  findLanding,
  findVersionOf,
  getEvidence,
  indexWords,
  insertVersion,
  isGivenOut,
  replaceContent,
  writeItem,
} from '../evidence/index.ts'
import { streamOf } from '../files/index.ts'
import type { GatheringServices } from './services.ts'
import { saveContent } from './saveContent.ts'

export interface NewNote {
  readonly text: RichText
  readonly title?: string
  readonly landing: Landing
}

export interface Note {
  readonly text: RichText
  readonly revision: number
}

const ONE_SITTING_MINUTES = 60
const LONGEST_SUGGESTION = 80

export async function createNote(
  services: GatheringServices,
  actor: PersonActor,
  note: NewNote,
): Promise<Evidence> {
  assertText(note.text)
  const reader = services.database.reader()
  const said = note.title ?? ''
  const { evidenceId } = await saveContent(services, actor, {
    content: streamOf(pageOf(note.text)),
    fileName: 'note.html',
    mime: 'text/html',
    kind: 'note',
    title: said === '' ? firstWords(note.text) : said,
    rights: { state: 'mine' },
    document: JSON.stringify(note.text),
    isNew: true,
    intoTray: true,
    ...(await findLanding(reader, actor, note.landing)),
  })
  return getEvidence(services.database.reader(), actor, evidenceId)
}

export async function getNote(reader: Reader, actor: PersonActor, id: string): Promise<Note> {
  const { kind, version, revision } = await getEvidence(reader, actor, id)
  const saved = kind === 'note' ? await findVersionOf(reader, actor.personId, id, version.n) : null
  const text: unknown = saved?.document ? JSON.parse(saved.document) : null
  if (!isRichText(text)) throw new AppError('not-found', 'not-found')
  return { text, revision }
}

export async function updateNote(
  services: GatheringServices,
  actor: PersonActor,
  id: string,
  revision: number,
  text: RichText,
): Promise<Note> {
  assertText(text)
  await getNote(services.database.reader(), actor, id)
  const stored = await services.files.put(streamOf(pageOf(text)))
  return inTransaction(services.database, async (trx) => {
    const item = await getEvidence(trx, actor, id)
    if (item.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
    const { version } = item
    // What others were given stays as they were given it.
    const isSameSitting =
      minutesBetween(version.at, trx.now) < ONE_SITTING_MINUTES &&
      !(await isGivenOut(trx, actor.personId, id, version.n))
    const n = isSameSitting ? version.n : (item.versions[0]?.n ?? 0) + 1
    if (!(await writeItem(trx, id, revision, { currentVersion: n }))) throw new AppError('stale', 'stale')
    const document = JSON.stringify(text)
    const present = await findVersionOf(trx, actor.personId, id, version.n)
    if (!present) throw new AppError('not-found', 'not-found')
    const content = { fileSha256: stored.sha256, bytes: stored.bytes, document }
    if (isSameSitting) await replaceContent(trx, { evidenceId: id, n }, content)
    else await insertVersion(trx, { ...present, ...content, n })
    await indexWords(trx, id)
    return { text, revision: revision + 1 }
  })
}

function assertText(text: RichText): void {
  if (!isRichText(text)) throw new AppError('invalid', 'text-not-allowed')
}

/** The note as a page that opens anywhere. */
function pageOf(text: RichText): Buffer {
  return Buffer.from(`<!doctype html>\n<meta charset="utf-8">\n<title>Note</title>\n${renderText(text)}\n`)
}

function firstWords(text: RichText): string {
  const [line = ''] = toPlainText(text).split('\n')
  const signs = [...line.trim()]
  if (signs.length <= LONGEST_SUGGESTION) return signs.join('')
  return `${signs
    .slice(0, LONGEST_SUGGESTION)
    .join('')
    .replace(/\s+\S*$/, '')}…`
}
