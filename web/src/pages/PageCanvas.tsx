// The paper with its title and rows. Rows are put in order by their grips, by pointer or by keyboard.
import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import type { CollisionDetection, DragEndEvent } from '@dnd-kit/core'
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable'
import type { Row } from '@valise/core/pages'
import { useCallback, useMemo, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { useFilesPlace } from '../evidence/upload/index.ts'
import { PageRowView } from './PageRowView.tsx'
import { PlaceSlot } from './PlaceSlot.tsx'
import { PutMode } from './PutMode.tsx'
import { TitleLine } from './TitleLine.tsx'
import { usePage } from './usePageEditor.ts'
import { usePaperDrop } from './usePaperDrop.ts'
import { usePutFiles } from './usePutFiles.ts'
import styles from './PageCanvas.module.css'

// Made once: rows are rendered again when these change.
const byPointer = { activationConstraint: { distance: 4 } }
const byKeyboard = { coordinateGetter: sortableKeyboardCoordinates }

export function PageCanvas() {
  const { t } = useTranslation('pages')
  const { draft, act, chosen, held, shown } = usePage()
  const paper = useRef<HTMLElement>(null)
  const isPutting = held !== null
  const putFiles = usePutFiles(draft.sync)
  const { line, handlers } = usePaperDrop(paper, putFiles)
  useFilesPlace(useCallback((files) => putFiles(files, null), [putFiles]))
  const { rows, lang } = draft.document
  const sensors = useSensors(useSensor(PointerSensor, byPointer), useSensor(KeyboardSensor, byKeyboard))
  const order = rows.map(({ id }) => id).join(' ')
  const ids = useMemo(() => (order === '' ? [] : order.split(' ')), [order])
  const numberOf = (id: unknown) => ids.indexOf(String(id)) + 1

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    const [from, to] = [numberOf(active.id), numberOf(over.id)]
    // Moving down, it comes after the row it is dropped on; moving up, before it.
    const after = from < to ? String(over.id) : (ids[to - 2] ?? null)
    act([{ op: 'move-row', rowId: String(active.id), after }])
  }
  const announcements = {
    onDragStart: ({ active }: { active: { id: unknown } }) => t('rows.lifted', { row: numberOf(active.id) }),
    onDragOver: ({ over }: { over: { id: unknown } | null }) =>
      over ? t('rows.over', { row: numberOf(over.id) }) : undefined,
    onDragEnd: ({ over }: { over: { id: unknown } | null }) =>
      over ? t('rows.dropped', { row: numberOf(over.id) }) : undefined,
    onDragCancel: () => t('rows.back'),
  }
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
