// Putting the parts of a list into another order, by dragging and by buttons, said as it happens.
import { KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import type { DragEndEvent } from '@dnd-kit/core'
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'

const byPointer = { activationConstraint: { distance: 4 } }
const byKeyboard = { coordinateGetter: sortableKeyboardCoordinates }

export function usePartDrag(
  parts: readonly { readonly id: string }[],
  move: (id: string, to: number) => void,
) {
  const { t } = useTranslation('offers')
  const [said, setSaid] = useState('')
  const sensors = useSensors(useSensor(PointerSensor, byPointer), useSensor(KeyboardSensor, byKeyboard))
  const ids = parts.map(({ id }) => id)
  const placeOf = (id: unknown) => ids.indexOf(String(id))
  const saidOf = (id: unknown, to: unknown) =>
    t('order.isAt', { n: placeOf(id) + 1, place: placeOf(to) + 1, count: ids.length })
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) move(String(active.id), placeOf(over.id))
  }
  /** For those who do not drag. */
  const step = (id: string, by: -1 | 1) => {
    const to = placeOf(id) + by
    move(id, to)
    setSaid(t('order.isAt', { n: to - by + 1, place: to + 1, count: ids.length }))
  }
  const announcements = {
    onDragStart: ({ active }: { active: { id: unknown } }) =>
      t('order.lifted', { n: placeOf(active.id) + 1 }),
    onDragOver: ({ active, over }: { active: { id: unknown }; over: { id: unknown } | null }) =>
      over ? saidOf(active.id, over.id) : undefined,
    onDragEnd: ({ active, over }: { active: { id: unknown }; over: { id: unknown } | null }) =>
      over ? saidOf(active.id, over.id) : undefined,
    onDragCancel: () => t('order.back'),
  }
  return { sensors, ids, onDragEnd, announcements, step, said }
}
