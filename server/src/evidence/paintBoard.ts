// Painting a collage in a thread: each picture as others may see it and as fine as it is shown, then the board as a PNG.
import { boardSizes, paintCollage, cropShown, picturesOf } from '@valise/core/pictures'
import type { BoardDrawing, Collage, Layer, ShownPicture, Size } from '@valise/core/pictures'
import { createCanvas, loadImage } from '@napi-rs/canvas'
import type { Canvas, Image } from '@napi-rs/canvas'
import { streamOf } from '../files/index.ts'
import type { FileStore, StoredFile } from '../files/index.ts'
import { knowFonts } from './drawOn.ts'
import { renderPicture, useForRendering } from './renderPicture.ts'
import type { PictureToRender, RenderedPicture } from './renderPicture.ts'

/** Pixels of a rendition for each unit of the board. */
const SCALE = 2

/** A picture on a board, with everything that its appearance depends on. */
export interface BoardPicture extends ShownPicture, PictureToRender {
  /** Its size as it is shown. */
  readonly width: number
  readonly height: number
  /** The newest rendition, where it is made already, with its own width. */
  readonly screen: { readonly sha256: string; readonly width: number } | null
}

export interface BoardToPaint {
  readonly collage: Collage
  readonly pictures: readonly BoardPicture[]
}

export interface PaintedBoard extends RenderedPicture {
  readonly file: StoredFile
  readonly size: Size
}

type Painted = Canvas | Image

/** Paints a collage. Pictures that cannot be opened are left out like missing ones. */
export async function paintBoard(
  files: FileStore,
  { collage, pictures }: BoardToPaint,
): Promise<PaintedBoard> {
  knowFonts()
  const board = boardSizes[collage.size]
  const size = { width: board.width * SCALE, height: board.height * SCALE }
  const opened = new Map<string, { readonly image: Painted } & Size>()
  for (const wanted of picturesOf(collage)) {
    const picture = pictures.find(({ evidenceId, n }) => evidenceId === wanted.evidenceId && n === wanted.n)
    const image = picture && (await openPictureFor(files, collage, picture))
    if (image) opened.set(keyOf(wanted), image)
  }
  const canvas = createCanvas(size.width, size.height)
  paintCollage<Painted>(
    {
      drawing: drawingOn(canvas),
      pictureOf: (wanted) => opened.get(keyOf(wanted)) ?? null,
      clearSheet: ({ width, height }) => {
        const sheet = createCanvas(width, height)
        return { drawing: drawingOn(sheet), image: sheet }
      },
    },
    collage,
    SCALE,
  )
  const file = await files.put(streamOf(await canvas.encode('png')))
  return { ...(await renderPicture(files, { sha256: file.sha256 })), file, size }
}

/** The library's context takes its own canvases and pictures, which is what is given to it. */
function drawingOn(canvas: Canvas): BoardDrawing<Painted> {
  return canvas.getContext('2d') as unknown as BoardDrawing<Painted>
}

async function openPictureFor(
  files: FileStore,
  collage: Collage,
  picture: BoardPicture,
): Promise<({ readonly image: Image } & Size) | null> {
  const width = widthWanted(collage, picture)
  const { screen } = picture
  try {
    const isFine = screen && screen.width >= Math.min(width, picture.width) * 0.9
    const data = await useForRendering(files, isFine ? { sha256: screen.sha256 } : picture, (source) =>
      source
        .resize({ width: Math.max(1, width), withoutEnlargement: true })
        .png()
        .toBuffer(),
    )
    const image = await loadImage(data)
    return { image, width: image.width, height: image.height }
  } catch (error) {
    if (error instanceof Error && 'code' in error) throw error
    return null
  }
}

/** How many pixels a picture needs to be as fine as it can be shown wherever it stands on the board. */
function widthWanted({ layers, background, size }: Collage, picture: BoardPicture): number {
  const isIt = ({ evidenceId, n }: ShownPicture) => evidenceId === picture.evidenceId && n === picture.n
  const plain = { x: 0.5, y: 0.5, zoom: 1 }
  const places = [
    ...(background.kind === 'picture' && isIt(background) ? [{ ...boardSizes[size], focus: plain }] : []),
    ...layers.filter(
      (layer): layer is Extract<Layer, { kind: 'picture' }> => layer.kind === 'picture' && isIt(layer),
    ),
  ]
  const widths = places.map(
    (place) => (place.width / cropShown(picture, place, place.focus).width) * picture.width * SCALE,
  )
  return Math.ceil(Math.min(picture.width, Math.max(1, ...widths)))
}

function keyOf({ evidenceId, n }: ShownPicture): string {
  return `${evidenceId}:${n}`
}
