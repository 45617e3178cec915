// Putting a collection into another order: by dragging and by buttons, said as it happens.
import { useTranslation } from 'react-i18next'
import { KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import type { DragEndEvent } from '@dnd-kit/core'
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable'
import type { CollectionItem } from '@valise/core/collections'
import { useState } from 'react'
import { useItemName } from './useItemName.ts'
import type { ChangeCollection, CollectionOutlineProps } from './CollectionOutline.tsx'

const byPointer = { activationConstraint: { distance: 4 } }

const byKeyboard = { coordinateGetter: sortableKeyboardCoordinates }

export function useOutlineDrag({
  collection,
  onChange,
}: Pick<CollectionOutlineProps, 'collection' | 'onChange'>) {
  const { t } = useTranslation('collections')
  const nameOf = useItemName(collection)
  const [said, setSaid] = useState('')
  const { items, move } = useOrder(collection.items, onChange)
  const sensors = useSensors(useSensor(PointerSensor, byPointer), useSensor(KeyboardSensor, byKeyboard))
  const ids = items.map(({ id }) => id)
  const placeOf = (id: unknown) => ids.indexOf(String(id)) + 1
  const named = (id: unknown) => {
    const item = items.find((one) => one.id === id)
    return item ? nameOf(item) : ''
  }
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    const [from, to] = [placeOf(active.id), placeOf(over.id)]
    // Moving down, it comes after what it is dropped on; moving up, before it.
    move(String(active.id), from < to ? String(over.id) : (ids[to - 2] ?? null))
  }
  /** By buttons, for those who do not drag. */
  const step = (id: string, by: -1 | 1) => {
    const place = placeOf(id) + by
    // Up, it comes after the one before the one above it; down, after the one below it.
    move(id, by === 1 ? (ids[place - 1] ?? null) : (ids[place - 2] ?? null))
    setSaid(t('outline.isAt', { name: named(id), place, count: ids.length }))
  }
  const announcements = {
    onDragStart: ({ active }: { active: { id: unknown } }) => t('outline.lifted', { name: named(active.id) }),
    onDragOver: ({ over }: { over: { id: unknown } | null }) =>
      over ? t('outline.over', { place: placeOf(over.id) }) : undefined,
    onDragEnd: ({ over }: { over: { id: unknown } | null }) =>
      over ? t('outline.dropped', { place: placeOf(over.id) }) : undefined,
    onDragCancel: () => t('outline.back'),
  }
  return { nameOf, said, items, ids, sensors, onDragEnd, step, announcements }
}

/** What was moved stays where it was dropped while the server hears of it. */
function useOrder(saved: readonly CollectionItem[], onChange: ChangeCollection) {
  const [moved, setMoved] = useState<{
    from: readonly CollectionItem[]
    items: readonly CollectionItem[]
  } | null>(null)
  const items = moved?.from === saved ? moved.items : saved
  const move = (id: string, after: string | null) => {
    const item = items.find((one) => one.id === id)
    if (!item) return
    const others = items.filter((one) => one !== item)
    const at = others.findIndex((one) => one.id === after) + 1
    setMoved({ from: saved, items: [...others.slice(0, at), item, ...others.slice(at)] })
    onChange([{ op: 'move', id, after }])
  }
  return { items, move }
}
