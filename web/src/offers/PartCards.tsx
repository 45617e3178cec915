// The parts of what is written, as cards in order: each a line that opens, moved by dragging, by keys and by buttons.
import { DndContext } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import { IconArrowDown, IconArrowUp, IconGripVertical, IconTrash } from '@tabler/icons-react'
import type { Icon } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { usePartDrag } from './usePartDrag.ts'
import styles from './Offers.module.css'

interface Part {
  readonly id: string
}

interface PartCardsProps<T extends Part> {
  /** What they are, for those who do not see the list. */
  readonly label: string
  readonly parts: readonly T[]
  readonly openId: string | null
  readonly onOpen: (id: string | null) => void
  readonly onMove: (id: string, to: number) => void
  readonly onRemove: (id: string) => void
  readonly removeLabel: string
  /** What a closed card says of its part. */
  readonly headOf: (part: T) => { readonly icon: Icon; readonly title: string; readonly facts: string }
  /** What can be changed while it is open. */
  readonly body: (part: T) => ReactNode
}

export function PartCards<T extends Part>(props: PartCardsProps<T>) {
  const { label, parts, openId, onOpen, onMove } = props
  const { t } = useTranslation('offers')
  const drag = usePartDrag(parts, onMove)
  return (
    <section aria-label={label}>
      <p className="only-heard" role="status">
        {drag.said}
      </p>
      <DndContext
        sensors={drag.sensors}
        onDragEnd={drag.onDragEnd}
        accessibility={{
          announcements: drag.announcements,
          screenReaderInstructions: { draggable: t('order.howToMove') },
        }}
      >
        <SortableContext items={drag.ids} strategy={verticalListSortingStrategy}>
          <ol className={styles.cards}>
            {parts.map((part, n) => (
              <PartCard
                key={part.id}
                {...props}
                part={part}
                n={n + 1}
                count={parts.length}
                isOpen={openId === part.id}
                onToggle={() => onOpen(openId === part.id ? null : part.id)}
                onStep={(by) => drag.step(part.id, by)}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </section>
  )
}

interface PartCardProps<T extends Part> extends PartCardsProps<T> {
  readonly part: T
  /** Its place, from 1, and how many there are. */
  readonly n: number
  readonly count: number
  readonly isOpen: boolean
  readonly onToggle: () => void
  readonly onStep: (by: -1 | 1) => void
}

function PartCard<T extends Part>(props: PartCardProps<T>) {
  const { part, n, count, isOpen, onToggle, onStep, onRemove, removeLabel, headOf, body } = props
  const { t } = useTranslation('offers')
  const sortable = useSortable({ id: part.id })
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition } = sortable
  const { icon: PartIcon, title, facts } = headOf(part)
  return (
    <li
      ref={setNodeRef}
      className={styles.card}
      data-open={isOpen}
      data-dragging={sortable.isDragging}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <div className={styles.cardHead}>
        <IconButton
          ref={setActivatorNodeRef}
          aria-label={t('order.grip', { n })}
          {...attributes}
          {...listeners}
        >
          <IconGripVertical size={17} stroke={1.7} />
        </IconButton>
        <button type="button" className={styles.cardTitle} aria-expanded={isOpen} onClick={onToggle}>
          <PartIcon size={18} stroke={1.7} aria-hidden="true" />
          <span>
            <b>
              {n}. {title}
            </b>
            <small>{facts}</small>
          </span>
        </button>
        <IconButton aria-label={t('order.up', { n })} disabled={n === 1} onClick={() => onStep(-1)}>
          <IconArrowUp size={17} stroke={1.7} />
        </IconButton>
        <IconButton aria-label={t('order.down', { n })} disabled={n === count} onClick={() => onStep(1)}>
          <IconArrowDown size={17} stroke={1.7} />
        </IconButton>
      </div>
      {isOpen ? (
        <div className={styles.cardBody}>
          {body(part)}
          <Button
            variant="text"
            color="error"
            startIcon={<IconTrash size={17} stroke={1.7} />}
            onClick={() => onRemove(part.id)}
          >
            {removeLabel}
          </Button>
        </div>
      ) : null}
    </li>
  )
}
