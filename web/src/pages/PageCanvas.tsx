// The paper with its title and rows. Rows are put in order by their grips, by pointer or by keyboard.
import { DndContext } from '@dnd-kit/core'
import type { CollisionDetection } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import type { Row } from '@valise/core/pages'
import { useCallback, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useFilesPlace } from '../evidence/upload/index.ts'
import { PageRowView } from './PageRowView.tsx'
import type { PagePlace } from './places.ts'
import { PlaceSlot } from './PlaceSlot.tsx'
import { PutMode } from './PutMode.tsx'
import { TitleLine } from './TitleLine.tsx'
import { usePage } from './usePageEditor.ts'
import { usePaperDrop } from './usePaperDrop.ts'
import { usePutFiles } from './usePutFiles.ts'
import { useRowDrag } from './useRowDrag.ts'
import styles from './PageCanvas.module.css'

export function PageCanvas() {
  const { t } = useTranslation('pages')
  const { draft, act, chosen, held, shown } = usePage()
  const paper = useRef<HTMLElement>(null)
  const isPutting = held !== null
  const putFiles = usePutFiles(draft.sync)
  const { line, handlers } = usePaperDrop(paper, putFiles)
  useFilesPlace(useCallback((files, pastedInto) => putFiles(files, placeBelow(pastedInto)), [putFiles]))
  const { rows, lang } = draft.document
  const { sensors, ids, onDragEnd, announcements } = useRowDrag(rows, act)
  return (
    <div className={styles.canvas} {...handlers}>
      <PutMode />
      <article ref={paper} className={`paper ${styles.page}`} lang={lang}>
        <TitleLine />
        <DndContext
          sensors={sensors}
          collisionDetection={nearestTop}
          onDragEnd={onDragEnd}
          accessibility={{
            announcements,
            screenReaderInstructions: { draggable: t('rows.howToMove') },
          }}
        >
          <SortableContext items={ids} strategy={verticalListSortingStrategy}>
            {isPutting ? <PlaceSlot place={{ kind: 'new-row', after: null }} /> : null}
            {rows.map((row, n) => (
              <PageRowView
                key={row.id}
                row={row}
                number={n + 1}
                chosen={inRow(row, chosen)}
                moved={held?.kind === 'piece' ? inRow(row, held.pieceId) : null}
                isPutting={isPutting}
                lang={lang}
                shown={shown}
                fromElsewhere={inRow(row, chosen) === null ? 0 : draft.fromElsewhere}
              />
            ))}
          </SortableContext>
        </DndContext>
        {rows.length === 0 ? <p className={styles.empty}>{t('emptyPage')}</p> : null}
        {line ? <span className={styles.mark} style={{ ...line }} data-mark aria-hidden="true" /> : null}
      </article>
    </div>
  )
}

/** Below the row of a text; null for no text. */
function placeBelow(text: Element | null): PagePlace | null {
  const after = text?.closest('[data-row]')?.getAttribute('data-row') ?? null
  return after === null ? null : { kind: 'new-row', after }
}

function inRow({ pieces }: Row, pieceId: string | null): string | null {
  return pieces.some(({ id }) => id === pieceId) ? pieceId : null
}

/** Rows differ much in height, so the target is found by upper edges: centres would favour the row's own place. */
const nearestTop: CollisionDetection = ({ collisionRect, droppableRects, droppableContainers }) =>
  droppableContainers
    .flatMap((droppableContainer) => {
      const rect = droppableRects.get(droppableContainer.id)
      const value = rect ? Math.abs(rect.top - collisionRect.top) : Number.POSITIVE_INFINITY
      return [{ id: droppableContainer.id, data: { droppableContainer, value } }]
    })
    .sort((a, b) => a.data.value - b.data.value)
