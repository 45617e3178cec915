// What a file is by its content: its type, its size as a picture, when and where it was made.
import { buffer } from 'node:stream/consumers'
import { canBeRendered, extensionOf, kindOfMime, MOST_PIXELS } from '@valise/core/evidence'
import type { PreviewProblem } from '@valise/core/evidence'
import exifr from 'exifr'
import { fileTypeFromBuffer } from 'file-type'
import { parseBuffer } from 'music-metadata'
import type { FileStore } from '../files/index.ts'
import { readPictureHead } from './openPicture.ts'

/** What a file claims about itself. Every value is limited, because anybody can write it. */
export interface Examined {
  readonly mime: string
  readonly width: number | null
  readonly height: number | null
  /** The camera's clock as `YYYY-MM-DDTHH:mm`, and its offset from UTC where given. */
  readonly madeAt: { readonly local: string; readonly offset: string | null } | null
  readonly place: { readonly latitude: number; readonly longitude: number } | null
  readonly previewProblem: PreviewProblem | null
  /** How long it plays, where the file says so. */
  readonly durationMs: number | null
}

/** What is known of a file that could not be examined. */
export const unexamined: Examined = {
  mime: 'application/octet-stream',
  width: null,
  height: null,
  madeAt: null,
  place: null,
  previewProblem: null,
  durationMs: null,
}

export interface FileToExamine {
  readonly sha256: string
  readonly bytes: number
  readonly fileName: string
}

/** Types and camera data stand near the beginning; what does not is not looked for. */
const HEAD_BYTES = 524_288

export async function examineFile(files: FileStore, file: FileToExamine): Promise<Examined> {
  const last = Math.min(file.bytes, HEAD_BYTES) - 1
  const head = await buffer(await files.open(file.sha256, { first: 0, last }))
  const mime = await typeOf(head, file.fileName)
  const nothing = { ...unexamined, mime }
  const kind = kindOfMime(mime)
  if (kind === 'audio' || kind === 'video') return { ...nothing, ...(await readRecording(head, mime, file)) }
  if (kind !== 'picture') return nothing
  const camera = await readCamera(head)
  if (!canBeRendered(mime)) return { ...nothing, ...camera, previewProblem: 'picture-not-shown' }
  const size = await readSize(files, file.sha256)
  if (size === null) return { ...nothing, ...camera, previewProblem: 'picture-damaged' }
  const isTooLarge = size.width * size.height > MOST_PIXELS
  return { ...nothing, ...size, ...camera, previewProblem: isTooLarge ? 'picture-too-large' : null }
}

/** By the first bytes; among texts, which have none of their own, by the ending of the name. */
async function typeOf(head: Buffer, fileName: string): Promise<string> {
  const found = await fileTypeFromBuffer(head)
  // A drawing in XML is found as XML; the name says which.
  if (found && found.mime !== 'application/xml') return found.mime
  if (!isText(head)) return 'application/octet-stream'
  return textTypes[extensionOf(fileName)] ?? 'text/plain'
}

const textTypes: Readonly<Record<string, string>> = {
  csv: 'text/csv',
  tsv: 'text/tab-separated-values',
  html: 'text/html',
  htm: 'text/html',
  svg: 'image/svg+xml',
  json: 'application/json',
  xml: 'application/xml',
  md: 'text/markdown',
}

function isText(head: Buffer): boolean {
  if (head.includes(0)) return false
  // The head may end within a character; a file in another encoding than UTF-8 still reads as text.
  const odd = head.toString('utf8').match(/\p{Cc}/gu) ?? []
  return odd.every((sign) => '\t\n\r\f\u001b\u0085'.includes(sign))
}

/** How long it plays, and whether what calls itself a film has nothing to see: a recorded voice is such a film. */
async function readRecording(
  head: Buffer,
  mime: string,
  file: FileToExamine,
): Promise<Pick<Examined, 'mime' | 'durationMs'>> {
  const isHeardOnly = mime === 'video/webm' && !hasPictures(head)
  return { mime: isHeardOnly ? 'audio/webm' : mime, durationMs: await readDuration(head, mime, file) }
}

/** The tracks of a WebM name their codecs in plain letters (Matroska, RFC 9559): those of pictures begin with V_. */
function hasPictures(head: Buffer): boolean {
  return /V_(VP8|VP9|AV1|MPEG)/.test(head.subarray(0, 16_384).toString('latin1'))
}

async function readDuration(head: Buffer, mime: string, { bytes }: FileToExamine): Promise<number | null> {
  try {
    const { format } = await parseBuffer(head, { mimeType: mime, size: bytes }, { skipCovers: true })
    const { duration } = format
    const isKnown = duration !== undefined && Number.isFinite(duration) && duration > 0
    return isKnown ? Math.round(duration * 1000) : null
  } catch {
    // A recording that does not say how long it is, or says it where nobody looks.
    return null
  }
}

async function readSize(files: FileStore, sha256: string): Promise<{ width: number; height: number } | null> {
  try {
    const { width, height, orientation } = await readPictureHead(files, sha256)
    return (orientation ?? 1) >= 5 ? { width: height, height: width } : { width, height }
  } catch {
    // The reader's own words help nobody; that it cannot be read is the answer.
    return null
  }
}

async function readCamera(head: Buffer): Promise<Pick<Examined, 'madeAt' | 'place'>> {
  try {
    const options = { gps: true, reviveValues: false, pick: [...cameraTags] }
    const found: Partial<Record<string, unknown>> = (await exifr.parse(head, options)) ?? {}
    return { madeAt: timeOf(found), place: placeOf(found) }
  } catch {
    // Camera data that cannot be read is camera data that is not there.
    return { madeAt: null, place: null }
  }
}

const cameraTags = [
  'DateTimeOriginal',
  'CreateDate',
  'OffsetTimeOriginal',
  'GPSLatitude',
  'GPSLatitudeRef',
  'GPSLongitude',
  'GPSLongitudeRef',
]

function timeOf(found: Partial<Record<string, unknown>>): Examined['madeAt'] {
  const text = String(found['DateTimeOriginal'] ?? found['CreateDate'] ?? '')
  const match = /^(\d{4}):(\d\d):(\d\d) (\d\d):(\d\d)/.exec(text)
  if (!match) return null
  const [, year, month, day, hour, minute] = match
  const local = `${year}-${month}-${day}T${hour}:${minute}`
  if (Number.isNaN(Date.parse(`${local}:00Z`)) || Number(year) < 1990) return null
  const offset = String(found['OffsetTimeOriginal'] ?? '')
  return { local, offset: /^[+-]\d\d:\d\d$/.test(offset) ? offset : null }
}

function placeOf({ latitude, longitude }: Partial<Record<string, unknown>>): Examined['place'] {
  const isReal = (value: unknown, most: number): value is number =>
    typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= most
  return isReal(latitude, 90) && isReal(longitude, 180) ? { latitude, longitude } : null
}
