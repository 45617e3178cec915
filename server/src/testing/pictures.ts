// Pictures for tests: small ones with what a camera writes into them, and one that claims to be enormous.
import { deflateSync } from 'node:zlib'
import sharp from 'sharp'

interface PictureOptions {
  readonly width?: number
  readonly height?: number
  readonly colour?: string
  /** Camera data: taken on 17 November at 9:14, at a place. */
  readonly camera?: boolean
}

export function makePicture({
  width = 640,
  height = 480,
  colour = '#b79b73',
  camera = false,
}: PictureOptions = {}): Promise<Buffer> {
  const picture = sharp({ create: { width, height, channels: 3, background: colour } }).jpeg()
  if (!camera) return picture.toBuffer()
  return picture
    .withExif({
      IFD2: { DateTimeOriginal: '2026:11:17 09:14:00' },
      IFD3: {
        GPSLatitudeRef: 'N',
        GPSLatitude: '37/1 1/1 0/1',
        GPSLongitudeRef: 'W',
        GPSLongitude: '7/1 58/1 0/1',
      },
    })
    .toBuffer()
}

/** Makes a PNG of a few hundred bytes that claims 60,000 by 60,000 pixels. */
export function makePictureBomb(): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(60_000, 0)
  head.writeUInt32BE(60_000, 4)
  head.set([8, 2], 8)
  const signature = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10])
  const data = deflateSync(Buffer.alloc(100_000))
  return Buffer.concat([
    signature,
    pngChunk('IHDR', head),
    pngChunk('IDAT', data),
    pngChunk('IEND', Buffer.alloc(0)),
  ])
}

function pngChunk(type: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(type), data])
  const frame = Buffer.alloc(8)
  frame.writeUInt32BE(data.length, 0)
  frame.writeUInt32BE(crc32(body), 4)
  return Buffer.concat([frame.subarray(0, 4), body, frame.subarray(4)])
}

/** The check sum of PNG (ISO 3309). */
function crc32(data: Buffer): number {
  let crc = 0xffffffff
  for (const byte of data) {
    crc ^= byte
    for (let bit = 0; bit < 8; bit += 1) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1
  }
  return ~crc >>> 0
}
