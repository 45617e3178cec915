// What lies in a collection, in its order; put into another order by grips, by pointer or by keyboard.
import { closestCenter, DndContext } from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { thingOf } from '@valise/core/collections'
import type { Collection } from '@valise/core/collections'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { CollectionItemRow } from './CollectionItemRow.tsx'
import type { CollectionChange } from './queries.ts'
import { useOutlineDrag } from './useOutlineDrag.ts'
import styles from './Collections.module.css'

export type ChangeCollection = (change: CollectionChange) => void

export interface CollectionOutlineProps {
  readonly collection: Collection
  /** The heading that was just begun. */
  readonly begun: string | null
  readonly onChange: ChangeCollection
}

export function CollectionOutline({ collection, begun, onChange }: CollectionOutlineProps) {
  const { t } = useTranslation('collections')
  const { nameOf, said, items, ids, sensors, onDragEnd, step, announcements } = useOutlineDrag({
    collection,
    onChange,
  })
  if (items.length === 0) return <Empty>{t('outline.empty')}</Empty>
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{ announcements, screenReaderInstructions: { draggable: t('outline.howToMove') } }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <p className="only-heard" role="status">
          {said}
        </p>
        <ol className={styles.outline} aria-label={t('outline.title')}>
          {items.map((item, n) => (
            <CollectionItemRow
              key={item.id}
              item={item}
              name={nameOf(item)}
              thing={collection.things.find(({ id }) => id === thingOf(item)) ?? null}
              place={n + 1}
              count={items.length}
              onStep={(by) => step(item.id, by)}
              isBegun={item.id === begun}
              after={items[n - 1]?.id ?? null}
              onChange={onChange}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  )
}
