// A place where what one holds can be put: a stitched slot that says what Enter does, shown only while one holds something.
import { useState } from 'react'
import type { DragEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { TRAY_DRAG } from '../evidence/trayPlace.ts'
import { StitchedBox } from '../ui/StitchedBox.tsx'
import { draggedItem } from '../evidence/draggedItem.ts'
import { isSamePlace } from './places.ts'
import type { PagePlace } from './places.ts'
import { useHeldName } from './useHeldName.ts'
import { usePage } from './usePageEditor.ts'
import styles from './PlaceSlot.module.css'

export function PlaceSlot({ place }: { readonly place: PagePlace }) {
  const { t } = useTranslation('pages')
  const { held, target, put, addEvidence } = usePage()
  const name = useHeldName()
  const dragged = draggedItem.use()
  const [isOver, setIsOver] = useState(false)
  if (!held && !dragged) return null

  const isTarget = isOver || (held !== null && isSamePlace(target, place))
  const onDragOver = (event: DragEvent) => {
    if (!event.dataTransfer.types.includes(TRAY_DRAG)) return
    event.preventDefault()
    setIsOver(true)
  }
  const onDrop = (event: DragEvent) => {
    event.preventDefault()
    setIsOver(false)
    if (dragged) addEvidence([dragged], place)
    draggedItem.set(null)
  }
  const words = isTarget ? t('put.here', { name: dragged?.title ?? name }) : t('put.orHere')
  return (
    <div
      className={styles.slot}
      data-kind={place.kind}
      data-target={isTarget}
      onDragOver={onDragOver}
      onDragLeave={() => setIsOver(false)}
      onDrop={onDrop}
    >
      <StitchedBox className={styles.box ?? ''}>
        <button type="button" tabIndex={-1} onClick={() => put(place)}>
          {words}
        </button>
      </StitchedBox>
    </div>
  )
}
