// One row with its grip and number in the margin, and the places in it and under it.
import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { IconGripVertical } from '@tabler/icons-react'
import { COLUMNS } from '@valise/core/pages'
import type { Row } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { PieceView } from './PieceView.tsx'
import { PlaceSlot } from './PlaceSlot.tsx'
import { usePage } from './usePageEditor.ts'
import styles from './PageRowView.module.css'

export function PageRowView({ row, number }: { readonly row: Row; readonly number: number }) {
  const { t } = useTranslation('pages')
  const { chosen } = usePage()
  const sortable = useSortable({ id: row.id })
  const isChosen = row.pieces.some(({ id }) => id === chosen)
  const style = {
    transform: CSS.Translate.toString(sortable.transform),
    transition: sortable.transition,
  }
  return (
    <>
      <div
        ref={sortable.setNodeRef}
        className={styles.row}
        style={style}
        data-first={number === 1}
        data-chosen={isChosen}
        data-lifted={sortable.isDragging}
      >
        <button
          ref={sortable.setActivatorNodeRef}
          type="button"
          className={styles.grip}
          {...sortable.attributes}
          {...sortable.listeners}
          aria-label={t('rows.grip', { row: number })}
          aria-roledescription={t('rows.role')}
        >
          <IconGripVertical size={15} stroke={1.7} aria-hidden="true" />
          {number}
        </button>
        <div className="row">
          {row.pieces.map((piece, n) => (
            <PieceView key={piece.id} piece={piece} row={number} side={sideOf(row, n)} />
          ))}
          <PlaceSlot place={{ kind: 'in-row', rowId: row.id, after: row.pieces.at(-1)?.id ?? null }} />
        </div>
      </div>
      <PlaceSlot place={{ kind: 'new-row', after: row.id }} />
    </>
  )
}

/** The half of the page in which the middle of a piece stands. */
function sideOf({ pieces }: Row, index: number): 'left' | 'right' {
  const before = pieces.slice(0, index).reduce((sum, { span }) => sum + span, 0) % COLUMNS
  const middle = before + (pieces[index]?.span ?? 0) / 2
  return middle > COLUMNS / 2 ? 'right' : 'left'
}
