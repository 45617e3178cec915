// Who looks: the person who is signed in, and the links that the browser at the other end holds.
import type { Viewer } from '@valise/core/access'
import type { Actor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { windowState } from '@valise/core/time'
import type { Reader } from '../database/index.ts'
import type { Client } from '../http/index.ts'
import type { ServerKeys } from '../system/index.ts'
import { isRightCode, readLinkCode } from './linkCodes.ts'
import { windowOf } from './passRow.ts'
import { listLinks, listLinksTo } from './passStore.ts'
import type { LinkRow } from './passStore.ts'

/** What telling who looks takes. */
export interface AccessServices {
  readonly keys: ServerKeys
}

interface Caller {
  readonly services: AccessServices
  readonly reader: Reader
  readonly actor: Actor
  readonly client: Pick<Client, 'linkCodes'>
}

/** Finds who is looking. Links count only with the code of their current address. */
export async function findViewer({ services, reader, actor, client }: Caller): Promise<Viewer> {
  const links = client.linkCodes.length === 0 ? [] : await findLinks(reader, services, client.linkCodes)
  const ids = links.map(({ id }) => id)
  if (actor.kind === 'system') return actor
  return actor.kind === 'person'
    ? { kind: 'person', personId: actor.personId, links: ids }
    : { kind: 'visitor', links: ids }
}

/** Finds the links of these codes, running or not. */
export async function findLinks(
  reader: Reader,
  { keys }: AccessServices,
  codes: readonly string[],
): Promise<LinkRow[]> {
  const read = codes.flatMap((code) => readLinkCode(code) ?? [])
  if (read.length === 0) return []
  const rows = await listLinks(
    reader,
    read.map(({ passId }) => passId),
  )
  return rows.filter(({ id, generation }) =>
    read.some((code) => code.passId === id && isRightCode(keys, code, generation)),
  )
}

/**
 * Returns the refusal for somebody who may not see a thing: `not-found`, the same as for a thing that does not exist.
 * Only holders of a link learn that the link has ended, does not work yet, or shows nothing now.
 *
 * @returns the refusal, which the caller throws
 */
export async function refusalFor(reader: Reader, viewer: Viewer, thingId: string): Promise<AppError> {
  const links =
    viewer.kind === 'system' || viewer.links.length === 0
      ? []
      : await listLinksTo(reader, viewer.links, thingId)
  const states = links.map((link) => windowState(windowOf(link), reader.now))
  if (states.length === 0) return new AppError('not-found', 'not-found')
  // One that runs and yet opens nothing leads to what lies in the bin, is not published, or may not be shown.
  if (states.includes('running')) return new AppError('forbidden', 'link-shows-nothing')
  return states.includes('to-come')
    ? new AppError('forbidden', 'link-to-come')
    : new AppError('gone', 'link-ended')
}
