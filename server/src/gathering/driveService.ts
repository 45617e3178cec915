// Documents of the shared drive: copied, or connected so that the item follows the document.
import type { DriveFolder, Evidence, FromDrive } from '@valise/core/evidence'
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import {
  advanceDriveDocument,
  findConnected,
  findDriveDocument,
  findLanding,
  getEvidence,
  insertDriveDocument,
  updateDriveDocument,
} from '../evidence/index.ts'
import { bytesOf, ServiceRefusal } from '../outside/index.ts'
import type { Drive } from '../outside/index.ts'
import { findSignInName } from '../people/index.ts'
import type { GatheringServices } from './services.ts'
import { FOLLOW_DOCUMENT } from './jobNames.ts'
import { saveContent } from './saveContent.ts'

const LOOK_EVERY_MINUTES = 10

export async function readFolder(
  services: GatheringServices,
  reader: Reader,
  actor: PersonActor,
  id: string | null,
): Promise<DriveFolder> {
  const drive = getDrive(services)
  return drive.folder(await findSignInName(reader, actor.personId), id).catch(refuse)
}

/** Saves a document of the drive as an item. Returns the existing item of a connected document. */
export async function saveFromDrive(
  services: GatheringServices,
  actor: PersonActor,
  { documentId, how, landing }: FromDrive,
): Promise<Evidence> {
  const { database, config, jobs } = services
  const drive = getDrive(services)
  const reader = database.reader()
  const isConnected = how === 'connected'
  const connected = isConnected ? await findConnected(reader, actor, documentId) : null
  if (connected !== null) return getEvidence(reader, actor, connected)
  const person = await findSignInName(reader, actor.personId)
  const document = await drive.document(person, documentId).catch(refuse)
  const response = await drive.content(person, documentId).catch(refuse)
  const { revision, changedAt } = document
  const { evidenceId } = await saveContent(services, actor, {
    content: bytesOf(response, config.largestFile),
    fileName: document.name,
    intoTray: true,
    // A connected document lives its own life, so it is never taken for a file that looks the same today.
    isNew: isConnected,
    ...(await findLanding(reader, actor, landing)),
    also: async (trx, saved) => {
      if (saved.outcome !== 'new') return
      const { ownerId, evidenceId } = { ownerId: actor.personId, evidenceId: saved.evidenceId }
      await insertDriveDocument(trx, { evidenceId, ownerId, documentId, isConnected, revision, changedAt })
      if (isConnected)
        await jobs.enqueue(trx, {
          kind: FOLLOW_DOCUMENT,
          payload: { evidenceId },
          dedupeKey: `${FOLLOW_DOCUMENT}:${evidenceId}`,
          personId: actor.personId,
        })
    },
  })
  return getEvidence(database.reader(), actor, evidenceId)
}

/** Polls a connected document now. */
export async function checkDocument(
  services: GatheringServices,
  actor: PersonActor,
  id: string,
): Promise<Evidence> {
  const { drive } = await getEvidence(services.database.reader(), actor, id)
  if (!drive?.isConnected) throw new AppError('not-found', 'not-found')
  await follow(services, id)
  return getEvidence(services.database.reader(), actor, id)
}

/** Disconnects a document: the item stays as it is and no longer changes by itself. */
export async function letGo(services: GatheringServices, actor: PersonActor, id: string): Promise<Evidence> {
  return inTransaction(services.database, async (trx) => {
    const { drive } = await getEvidence(trx, actor, id)
    if (!drive?.isConnected) throw new AppError('not-found', 'not-found')
    await updateDriveDocument(trx, id, { isConnected: false })
    return getEvidence(trx, actor, id)
  })
}

/** Polls a connected document. @returns when to poll again; nothing once the item is gone or disconnected */
export async function followDocument(
  services: GatheringServices,
  evidenceId: string,
): Promise<Instant | void> {
  const isFollowed = await follow(services, evidenceId)
  if (isFollowed) return addMinutes(services.database.reader().now, LOOK_EVERY_MINUTES)
}

/** Brings the newest version of a document in, or notes that it is not open to its owner any more. */
async function follow(services: GatheringServices, evidenceId: string): Promise<boolean> {
  const { database, config } = services
  const reader = database.reader()
  const saved = await findDriveDocument(reader, evidenceId)
  if (!saved?.isConnected || !services.outside.drive) return false
  const { ownerId, documentId } = saved
  const person = await findSignInName(reader, ownerId)
  try {
    const document = await services.outside.drive.document(person, documentId)
    if (document.revision === saved.revision) {
      await inTransaction(database, (trx) => updateDriveDocument(trx, evidenceId, { lostAt: null }))
      return true
    }
    const response = await services.outside.drive.content(person, documentId)
    const { revision, changedAt, name } = document
    await saveContent(services, ownerActor(ownerId), {
      content: bytesOf(response, config.largestFile),
      fileName: name,
      replaces: evidenceId,
      classId: null,
      also: async (trx) => {
        const isFirst = await advanceDriveDocument(trx, evidenceId, saved.revision, { revision, changedAt })
        if (!isFirst) throw new AppError('conflict', 'stale')
      },
    })
  } catch (error) {
    // Somebody who looked at the same moment has brought the version in; this transaction left nothing.
    if (error instanceof AppError && error.reason === 'stale') return true
    if (!(error instanceof ServiceRefusal)) throw error
    await inTransaction(database, (trx) =>
      updateDriveDocument(trx, evidenceId, { lostAt: saved.lostAt ?? trx.now }),
    )
  }
  return true
}

function getDrive({ outside }: GatheringServices): Drive {
  if (!outside.drive) throw new AppError('not-found', 'not-found')
  return outside.drive
}

function refuse(cause: unknown): never {
  if (cause instanceof ServiceRefusal) throw new AppError('forbidden', 'drive-not-open', { cause })
  throw cause
}
