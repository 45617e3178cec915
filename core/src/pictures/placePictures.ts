// Where pictures are laid that come onto a board together: in rows that fill what is free, in the order in which they came.
import type { Collage, PictureLayer } from './collageSchema.ts'
import { boundsOf } from './arrange.ts'
import type { ShownPicture } from './paintCollage.ts'
import type { Size } from './raster.ts'
import type { Box } from './schema.ts'
import { boardSizes } from './valueLists.ts'

export interface PictureToPlace extends ShownPicture {
  /** The layer's. */
  readonly id: string
  /** The picture's own, for its shape alone. */
  readonly width: number
  readonly height: number
}

/** The margin of the board and the gap between pictures, in parts of its shorter side. */
const MARGIN = 0.06
const GAP = 0.035

/** Makes layers for new pictures: over the whole board while it is empty, otherwise in its centre. */
export function placePictures(
  { size, layers }: Pick<Collage, 'size' | 'layers'>,
  pictures: readonly PictureToPlace[],
): PictureLayer[] {
  const board = boardSizes[size]
  const short = Math.min(board.width, board.height)
  const room = layers.some((layer) => boundsOf(layer).width < board.width * 0.98)
    ? within(board, short * 0.2)
    : within(board, short * MARGIN)
  const columns = columnsFor(pictures, room)
  const rows = Math.ceil(pictures.length / columns)
  const gap = short * GAP
  const cell = {
    width: (room.width - gap * (columns - 1)) / columns,
    height: (room.height - gap * (rows - 1)) / rows,
  }
  return pictures.map((picture, n) => {
    const inRow = Math.min(columns, pictures.length - Math.floor(n / columns) * columns)
    const indent = ((columns - inRow) * (cell.width + gap)) / 2
    const fit = Math.min(cell.width / picture.width, cell.height / picture.height)
    const [width, height] = [picture.width * fit, picture.height * fit]
    return {
      ...{ id: picture.id, kind: 'picture', evidenceId: picture.evidenceId, n: picture.n },
      x: room.x + indent + (n % columns) * (cell.width + gap) + (cell.width - width) / 2,
      y: room.y + Math.floor(n / columns) * (cell.height + gap) + (cell.height - height) / 2,
      ...{ width, height, turn: 0, isLocked: false, group: null, shape: 'box' },
      focus: { x: 0.5, y: 0.5, zoom: 1 },
    }
  })
}

function within({ width, height }: Size, margin: number): Box {
  return { x: margin, y: margin, width: width - 2 * margin, height: height - 2 * margin }
}

/** As many columns as make the pictures largest. */
function columnsFor(pictures: readonly Size[], room: Size): number {
  const ratio =
    pictures.reduce((sum, { width, height }) => sum + width / height, 0) / Math.max(1, pictures.length)
  let best = { columns: 1, area: 0 }
  for (let columns = 1; columns <= pictures.length; columns += 1) {
    const [width, height] = [room.width / columns, room.height / Math.ceil(pictures.length / columns)]
    const shown = Math.min(width, height * ratio)
    if (shown * (shown / ratio) > best.area + 1e-6) best = { columns, area: shown * (shown / ratio) }
  }
  return best.columns
}
