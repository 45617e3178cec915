// Web links: previewed before they are saved, and saved as evidence.
import { LINK_MIME } from '@valise/core/evidence'
import type { Evidence, PreviewedLink, NewLink } from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Turn } from '../jobs/index.ts'
import type { Reader } from '../database/index.ts'
import {
  findLanding,
  findOwnLink,
  getEvidence,
  indexWords,
  saveLink,
  showPicture,
} from '../evidence/index.ts'
import { OutsideError, readLink } from '../outside/index.ts'
import type { ReadLink } from '../outside/index.ts'
import { streamOf } from '../files/index.ts'
import type { GatheringServices } from './services.ts'
import { saveContent } from './saveContent.ts'

/** What an address is, and whether one has it already. */
export async function previewLink(
  services: GatheringServices,
  reader: Reader,
  actor: PersonActor,
  text: string,
): Promise<PreviewedLink> {
  const { picture, ...read } = await readAddress(services, text)
  return { ...read, hasPicture: picture !== null, known: await findOwnLink(reader, actor, read.address) }
}

/** Saves a link. Returns the existing item of an address that is already saved. */
export async function createLink(
  services: GatheringServices,
  actor: PersonActor,
  wish: NewLink,
): Promise<Evidence> {
  const reader = services.database.reader()
  const read = await readAddress(services, wish.address)
  const known = await findOwnLink(reader, actor, read.address)
  if (known !== null) return getEvidence(reader, actor, known)
  const said = toPlainLine(wish.title ?? '')
  const title = said === '' ? read.title : said
  const { picture, address, siteName, description, frame, state } = read
  const { evidenceId } = await saveContent(services, actor, {
    content: streamOf(Buffer.from(`# ${title}\r\n${address}\r\n`)),
    mime: LINK_MIME,
    fileName: `${new URL(address).hostname}.url.txt`,
    title,
    intoTray: true,
    ...(await findLanding(reader, actor, wish.landing)),
    also: async (trx, saved) => {
      await saveLink(trx, actor, saved.evidenceId, { address, siteName, description, frame, state })
      await indexWords(trx, saved.evidenceId)
    },
  })
  if (picture)
    await showPicture(services, turnOf(actor), evidenceId, 1, await services.files.put(streamOf(picture)))
  return getEvidence(services.database.reader(), actor, evidenceId)
}

/** Asks the site of a link again; the item gets its new description, its title stays. */
export async function checkAgain(
  services: GatheringServices,
  actor: PersonActor,
  id: string,
): Promise<Evidence> {
  const { link } = await getEvidence(services.database.reader(), actor, id)
  if (!link) throw new AppError('not-found', 'not-found')
  const read = await readAddress(services, link.address)
  const { picture, address, frame, state } = read
  await inTransaction(services.database, async (trx) => {
    const isThere = state === 'there'
    const siteName = isThere ? read.siteName : link.siteName
    const description = isThere ? read.description : link.description
    await saveLink(trx, actor, id, { address, siteName, description, frame, state })
    await indexWords(trx, id)
  })
  if (picture) await showPicture(services, turnOf(actor), id, 1, await services.files.put(streamOf(picture)))
  return getEvidence(services.database.reader(), actor, id)
}

function turnOf({ personId }: PersonActor): Turn {
  return { lane: 'requests', personId }
}

async function readAddress({ outside }: GatheringServices, text: string): Promise<ReadLink> {
  const typed = text.trim()
  // People leave the beginning out, as on posters.
  const address = /^[a-z][a-z0-9+.-]*:/i.test(typed) ? typed : `https://${typed}`
  if (!URL.canParse(address) || /\s/.test(typed)) throw new AppError('invalid', 'link-unreadable')
  try {
    return await readLink(new URL(address).href, outside.links)
  } catch (cause) {
    if (cause instanceof OutsideError) throw new AppError('invalid', 'link-unsafe', { cause })
    throw cause
  }
}
