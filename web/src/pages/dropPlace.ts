// Where something that is dragged over the paper would go, and where the line stands that says so.
import type { PagePlace } from './places.ts'

export interface Box {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

export interface RowBox {
  readonly id: string
  readonly box: Box
  /** Whether its pieces take the whole width: then nothing fits beside them. */
  readonly isFull: boolean
  readonly pieces: readonly { readonly id: string; readonly box: Box }[]
}

export interface DropTarget {
  readonly place: PagePlace
  /** The line between two rows, or between two pieces. */
  readonly line: Box
}

const THICK = 4
/** From its upper and lower edge, so much of a row stands for the place before or after it; in pixels. */
const EDGE = 32

/**
 * Finds the place nearest to a point. Rows, paper and point are in the same pixels.
 *
 * @param paper the paper, between whose sides a new row would stand and whose top is above the first row
 */
export function findDropTarget(
  rows: readonly RowBox[],
  paper: Box,
  at: { x: number; y: number },
): DropTarget {
  const row = rows.find(({ box }) => at.y < box.top + box.height) ?? rows.at(-1)
  if (!row) return between(null, paper, paper.top + THICK)
  const index = rows.indexOf(row)
  const { box } = row
  const edge = row.isFull ? box.height / 2 : Math.min(EDGE, box.height * 0.3)
  if (at.y < box.top + edge) {
    const above = rows[index - 1]
    return between(above?.id ?? null, paper, above ? middleOf(above.box, box) : box.top - THICK * 2)
  }
  if (at.y >= box.top + box.height - edge) {
    const below = rows[index + 1]
    return between(row.id, paper, below ? middleOf(box, below.box) : box.top + box.height + THICK)
  }
  const before = row.pieces.filter(({ box: piece }) => at.x >= piece.left + piece.width / 2).at(-1)
  const first = row.pieces[0]
  const left = before ? before.box.left + before.box.width + THICK : (first?.box.left ?? box.left) - THICK * 2
  const place: PagePlace = { kind: 'in-row', rowId: row.id, after: before?.id ?? null }
  return { place, line: { left, top: box.top, width: THICK, height: box.height } }
}

function between(after: string | null, { left, width }: Box, top: number): DropTarget {
  return { place: { kind: 'new-row', after }, line: { left, top: top - THICK / 2, width, height: THICK } }
}

function middleOf(above: Box, below: Box): number {
  return (above.top + above.height + below.top) / 2
}
