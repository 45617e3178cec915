// The picture shelf: looked through within one's year group, taken with its credit, reported where something is wrong.
import type { Evidence, FromShelf, ShelfPage } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { findLanding, getEvidence, indexWords, writeItem } from '../evidence/index.ts'
import type { FileAnswer } from '../http/index.ts'
import { bytesOf, ServiceRefusal } from '../outside/index.ts'
import type { Shelf } from '../outside/index.ts'
import { findShelfReach } from '../people/index.ts'
import { appendRecord } from '../records/index.ts'
import type { GatheringServices } from './services.ts'
import { saveContent } from './saveContent.ts'
import { insertShelfReport, listReported } from './shelfStore.ts'

const MOST_SMALL_BYTES = 2 * 1_048_576

/** Searches the shelf; pictures that this person reported are left out. */
export async function searchShelf(
  services: GatheringServices,
  reader: Reader,
  actor: PersonActor,
  words: string,
): Promise<ShelfPage> {
  const reach = await findShelfReach(reader, actor.personId)
  const { pictures } = await getShelf(services).search(words, reach)
  const reported = await listReported(reader, actor)
  return { pictures: pictures.filter(({ id }) => !reported.includes(id)) }
}

/** Proxies the thumbnail of a picture, so that a student's browser contacts no other server. */
export async function smallPicture(
  services: GatheringServices,
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<FileAnswer> {
  const shelf = getShelf(services)
  await shelf.picture(id, await findShelfReach(reader, actor.personId)).catch(gone)
  const response = await shelf.file(id, 'small').catch(gone)
  const stored = await services.files.put(bytesOf(response, MOST_SMALL_BYTES))
  const mime = response.headers.get('content-type') ?? 'application/octet-stream'
  return { ...stored, mime, fileName: 'picture', inline: mime.startsWith('image/') && !mime.includes('svg') }
}

export async function saveFromShelf(
  services: GatheringServices,
  actor: PersonActor,
  { pictureId, landing }: FromShelf,
): Promise<Evidence> {
  const { database, config } = services
  const shelf = getShelf(services)
  const reader = database.reader()
  const picture = await shelf.picture(pictureId, await findShelfReach(reader, actor.personId)).catch(gone)
  const response = await shelf.file(pictureId, 'whole').catch(gone)
  const { title, maker, source, licence, shows } = picture
  const { evidenceId } = await saveContent(services, actor, {
    content: bytesOf(response, config.largestFile),
    fileName: `${title}.jpg`,
    title,
    rights: { state: 'licensed', maker, source, licence },
    intoTray: true,
    ...(await findLanding(reader, actor, landing)),
    also: async (trx, saved) => {
      if (saved.outcome !== 'new') return
      await writeItem(trx, saved.evidenceId, null, { alternativeText: shows })
      await indexWords(trx, saved.evidenceId)
    },
  })
  return getEvidence(database.reader(), actor, evidenceId)
}

/** Reports a picture to the shelf and the school; this person does not see it again. */
export async function reportPicture(
  services: GatheringServices,
  reader: Reader,
  actor: PersonActor,
  pictureId: string,
  words: string,
): Promise<void> {
  const shelf = getShelf(services)
  const { title } = await shelf.picture(pictureId, await findShelfReach(reader, actor.personId)).catch(gone)
  await inTransaction(services.database, async (trx) => {
    await insertShelfReport(trx, actor, { pictureId, title, words })
    await appendRecord(trx, actor, {
      action: 'picture-reported',
      subject: 'person',
      subjectId: actor.personId,
      changes: { picture: [null, title] },
    })
  })
  await shelf.report(pictureId, words).catch((error: unknown) => services.log.failed('picture shelf', error))
}

function getShelf({ outside }: GatheringServices): Shelf {
  if (!outside.shelf) throw new AppError('not-found', 'not-found')
  return outside.shelf
}

function gone(cause: unknown): never {
  if (cause instanceof ServiceRefusal) throw new AppError('not-found', 'shelf-gone', { cause })
  throw cause
}
