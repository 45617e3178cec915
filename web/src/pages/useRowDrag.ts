// Putting the rows of a page into another order, by pointer and by keyboard, said as it happens.
import { useTranslation } from 'react-i18next'
import { KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import type { DragEndEvent } from '@dnd-kit/core'
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable'
import type { Operation, Row } from '@valise/core/pages'
import { useMemo } from 'react'

// Made once: rows are rendered again when these change.
const byPointer = { activationConstraint: { distance: 4 } }

const byKeyboard = { coordinateGetter: sortableKeyboardCoordinates }

export function useRowDrag(rows: readonly Row[], act: (operations: readonly Operation[]) => unknown) {
  const { t } = useTranslation('pages')
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
  return { sensors, ids, onDragEnd, announcements }
}
