// The bytes behind what a published piece hands out.
import { mayStandInline } from '@valise/core/evidence'
import type { HandOut } from '@valise/core/pages'
import type { Reader } from '../database/index.ts'
import { findFileForOthers, findSharedRendition, renditionName } from '../evidence/index.ts'
import type { FileAnswer } from '../http/index.ts'
import type { PublishedFile } from './service.ts'
import type { StoredHandOut } from './store.ts'

/** Finds a handed out file; null while it is not made, or gone. */
export function findHandedOut(
  reader: Reader,
  { ownerId, handOut }: PublishedFile,
): Promise<FileAnswer | null> {
  return finders[handOut.what](reader, ownerId, handOut.item)
}

const finders = { screen: findScreen, file: findFile } satisfies Record<HandOut['what'], typeof findScreen>

async function findScreen(
  reader: Reader,
  ownerId: string,
  item: StoredHandOut['item'],
): Promise<FileAnswer | null> {
  const rendition = await findSharedRendition(reader, ownerId, item)
  if (!rendition) return null
  const { fileSha256: sha256, bytes, mime } = rendition
  return { sha256, bytes, mime, fileName: renditionName(item.fileName), inline: true }
}

async function findFile(
  reader: Reader,
  ownerId: string,
  item: StoredHandOut['item'],
): Promise<FileAnswer | null> {
  const file = await findFileForOthers(reader, ownerId, item)
  if (!file) return null
  const { fileSha256: sha256, bytes, mime, fileName } = file
  return { sha256, bytes, mime, fileName, inline: mayStandInline(mime) }
}
