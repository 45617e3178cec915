// What an address is: title, description and picture, as its site tells them by oEmbed 1.0 or the Open Graph protocol.
import { Parser } from 'htmlparser2'
import { fetchOutside, OutsideError } from './fetchOutside.ts'
import type { Fetched, OutsidePolicy } from './fetchOutside.ts'
import { knownMedia } from './mediaHosts.ts'
import type { KnownMedia, MediaHost } from './mediaHosts.ts'

export interface ReadLink {
  readonly address: string
  readonly title: string
  readonly siteName: string
  readonly description: string
  readonly picture: Buffer | null
  readonly frame: {
    readonly kind: 'player' | 'embed'
    readonly address: string
    readonly site: string
  } | null
  readonly state: 'there' | 'slow' | 'dead' | 'blocked'
}

export interface LinkReader {
  readonly policy: OutsidePolicy
  readonly mediaHosts: readonly MediaHost[]
}

const OEMBED = 'application/json+oembed'
const PAGE_BYTES = 1_048_576
const PICTURE_BYTES = 5 * 1_048_576
const LONGEST_TITLE = 200
const LONGEST_DESCRIPTION = 1000

/**
 * Reads a web address. One that does not answer is returned with its state and what the address itself tells.
 *
 * @throws OutsideError `unsafe` for an address that may not be fetched
 */
export async function readLink(address: string, reader: LinkReader): Promise<ReadLink> {
  const media = knownMedia(address, reader.mediaHosts)
  const silent = { ...fromWords(address), frame: media && frameOf(media) }
  try {
    const page = await fetchOutside(address, reader.policy, {
      accept: 'text/html, application/xhtml+xml;q=0.9, */*;q=0.1',
      mostBytes: PAGE_BYTES,
    })
    const head = page.mime.includes('html') ? headOf(page) : {}
    const embed = await askOembed(
      oembedAddress(media, head, { asked: address, page: page.address }),
      reader.policy,
    )
    const pictureAddress = embed?.['thumbnail_url'] ?? head['og:image'] ?? head['twitter:image']
    return {
      ...silent,
      title: line(embed?.['title'] ?? head['og:title'] ?? head['title'] ?? silent.title, LONGEST_TITLE),
      siteName: line(embed?.['provider_name'] ?? head['og:site_name'] ?? silent.siteName, LONGEST_TITLE),
      description: line(head['og:description'] ?? head['description'] ?? '', LONGEST_DESCRIPTION),
      picture: pictureAddress ? await fetchPicture(pictureAddress, page.address, reader.policy) : null,
      state: 'there',
    }
  } catch (error) {
    if (!(error instanceof OutsideError) || error.reason === 'unsafe') throw error
    return { ...silent, state: error.reason }
  }
}

/** What the address itself says: the last part of its path, and its host. */
function fromWords(address: string): ReadLink {
  const url = new URL(address)
  const last = decoded(url.pathname.split('/').filter(Boolean).at(-1) ?? '')
  const words = last
    .replace(/\.\w{2,5}$/, '')
    .replace(/[-_+]+/g, ' ')
    .trim()
  return {
    address: url.href,
    title: line(words === '' ? url.hostname : words, LONGEST_TITLE),
    siteName: url.hostname,
    description: '',
    picture: null,
    frame: null,
    state: 'there',
  }
}

/** A percent sign that stands for itself leaves the words as they are. */
function decoded(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}

function frameOf({ host, frame }: NonNullable<ReturnType<typeof knownMedia>>): ReadLink['frame'] {
  return { kind: host.kind, address: frame, site: host.name }
}

/** The title, the described properties, and under `OEMBED` where oEmbed answers, in the head of a page. */
function headOf(page: Fetched): Partial<Record<string, string>> {
  const found: Partial<Record<string, string>> = {}
  let title: string | null = null
  const parser = new Parser({
    onopentag: (name, attributes) => {
      if (name === 'title' && found['title'] === undefined) title = ''
      if (name === 'link' && attributes['type'] === OEMBED && attributes['href'])
        found[OEMBED] ??= attributes['href']
      if (name !== 'meta') return
      const property = (attributes['property'] ?? attributes['name'] ?? '').toLowerCase()
      const content = attributes['content']
      if (property !== '' && content) found[property] ??= content
    },
    ontext: (text) => {
      if (title !== null) title += text
    },
    onclosetag: (name) => {
      if (name === 'title' && title !== null) found['title'] = title
      if (name === 'title') title = null
    },
  })
  parser.write(wordsOf(page))
  parser.end()
  return found
}

/** In the encoding that the answer or the page itself names (HTML, section 13.2.3.2), else in UTF-8. */
function wordsOf({ body, charset }: Fetched): string {
  const named = /<meta[^>]+charset=["']?([\w:.-]+)/i.exec(body.subarray(0, 1024).toString('latin1'))?.[1]
  try {
    return new TextDecoder(charset ?? named ?? 'utf-8').decode(body)
  } catch {
    return body.toString('utf8')
  }
}

/** Known media say it beforehand; any other page may name it in its head (oEmbed 1.0, section 4). */
function oembedAddress(
  media: KnownMedia | null,
  head: Partial<Record<string, string>>,
  { asked, page }: { readonly asked: string; readonly page: string },
): string | null {
  if (media?.host.oembed) return `${media.host.oembed}?${new URLSearchParams({ url: asked, format: 'json' })}`
  const named = head[OEMBED]
  return named !== undefined && URL.canParse(named, page) ? new URL(named, page).href : null
}

/** What the site answers by oEmbed. Its `html` is never looked at: what stands in a frame is known beforehand. */
async function askOembed(
  address: string | null,
  policy: OutsidePolicy,
): Promise<Partial<Record<string, string>> | null> {
  if (address === null) return null
  try {
    const { body } = await fetchOutside(address, policy, {
      accept: 'application/json',
      mostBytes: PAGE_BYTES,
    })
    const answer: unknown = JSON.parse(body.toString('utf8'))
    if (typeof answer !== 'object' || answer === null) return null
    return Object.fromEntries(Object.entries(answer).filter(([, value]) => typeof value === 'string'))
  } catch {
    // The page itself was there; what its second voice would have said is not needed.
    return null
  }
}

async function fetchPicture(address: string, base: string, policy: OutsidePolicy): Promise<Buffer | null> {
  if (!URL.canParse(address, base)) return null
  try {
    const wish = { accept: 'image/*', mostBytes: PICTURE_BYTES }
    const { mime, body } = await fetchOutside(new URL(address, base).href, policy, wish)
    return mime.startsWith('image/') ? body : null
  } catch {
    // A link without its picture is still a link.
    return null
  }
}

function line(text: string, most: number): string {
  const plain = text.replaceAll('\0', '').toWellFormed().replace(/\s+/g, ' ').trim()
  return [...plain].slice(0, most).join('')
}
