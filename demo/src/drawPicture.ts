// Renders a scene as a camera or a program would save it: JPEG with camera data, PNG or WebP without.
import sharp from 'sharp'
import { makeDice, scenes, toSvg } from './scenes/index.ts'
import type { SceneName } from './scenes/index.ts'

export interface PictureWish {
  readonly scene: SceneName
  readonly seed: number
  readonly shape?: 'landscape' | 'portrait' | 'wide'
  readonly format?: 'jpeg' | 'png' | 'webp'
  /** When the camera says it was taken, as `YYYY-MM-DDTHH:mm`; none for what no camera made. */
  readonly takenAt?: string
  /** Whether the camera wrote down where. */
  readonly place?: boolean
}

const shapes = { landscape: [4, 3], portrait: [3, 4], wide: [16, 9] } as const

/**
 * Draws a picture. @param longSide pixels of the longer side
 */
export function drawPicture(wish: PictureWish, longSide = 1280): Promise<Buffer> {
  const { scene, seed, shape = 'landscape', format = 'jpeg', takenAt, place } = wish
  const dice = makeDice(seed)
  const [across, down] = shapes[shape]
  const unit = longSide / Math.max(across, down)
  // A hand is never quite still: each picture is held a little otherwise.
  const angle = takenAt === undefined ? 0 : (dice() - 0.5) * 5
  const zoom = takenAt === undefined ? 1 : 1.08 + dice() * 0.2
  const svg = toSvg(scenes[scene](dice), Math.round(across * unit), Math.round(down * unit), angle, zoom)
  const picture = sharp(Buffer.from(svg)).flatten({ background: '#fffdf8' })
  if (format === 'png') return picture.png().toBuffer()
  if (format === 'webp') return picture.webp({ quality: 84 }).toBuffer()
  const jpeg = picture.jpeg({ quality: 84 })
  if (takenAt === undefined) return jpeg.toBuffer()
  return jpeg.withExif(cameraData(takenAt, place === true)).toBuffer()
}

function cameraData(takenAt: string, place: boolean) {
  const time = `${takenAt.replaceAll('-', ':').replace('T', ' ')}:00`
  // An invented coast, in a sea that has no land there.
  const somewhere = {
    GPSLatitudeRef: 'N',
    GPSLatitude: '38/1 12/1 0/1',
    GPSLongitudeRef: 'W',
    GPSLongitude: '18/1 30/1 0/1',
  }
  const camera = { IFD0: { Model: 'Shore camera' }, IFD2: { DateTimeOriginal: time } }
  return place ? { ...camera, IFD3: somewhere } : camera
}
