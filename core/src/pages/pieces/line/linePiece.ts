// A line across the page.
import { COLUMNS } from '../../valueLists.ts'
import type { PieceDefinition } from '../PieceDefinition.ts'
import { withoutThings } from '../withoutThings.ts'
import type { LinePiece } from './schema.ts'

export const linePiece: PieceDefinition<LinePiece> = { ...withoutThings, render: () => '<hr>' }

export function newLinePiece(id: string): LinePiece {
  return { id, kind: 'line', span: COLUMNS }
}
