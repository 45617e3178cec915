// The board: painted as others will see it, with what is chosen, moved and drawn over it.
import { boardSizes, IDENTITY } from '@valise/core/pictures'
import type { Geometry, Layer } from '@valise/core/pictures'
import { useMemo, useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { EvidenceRow } from '@valise/core/evidence'
import { draggedItem, TRAY_DRAG } from '../evidence/tray/index.ts'
import type { Speaking } from '../evidence/voices/index.ts'
import { benchStyles as bench, Pane, SpeakOverlay, useZoom, ZoomBar } from '../pictures/bench/index.ts'
import { BoardCanvas } from './BoardCanvas.tsx'
import { BoardOverlay } from './BoardOverlay.tsx'
import { DrawSurface } from './DrawSurface.tsx'
import type { Pen } from './DrawBar.tsx'
import type { Arranging } from './useArranging.ts'
import type { Opened } from './usePictures.ts'
import styles from './Collage.module.css'

interface BoardProps {
  readonly arranging: Arranging
  readonly opened: Opened
  readonly nameOf: (layer: Layer) => string
  /** With what is drawn; null while things are arranged. */
  readonly pen: Pen | null
  readonly isSnapping: boolean
  readonly speaking: Speaking
  readonly onWrite: () => void
  readonly onDropped: (item: EvidenceRow) => void
}

/** Renditions have twice as many pixels as the board has units; places that a voice points at are in those pixels. */
const PIXELS = 2

export function Board(props: BoardProps) {
  const { arranging, opened, nameOf, pen, isSnapping, speaking, onWrite, onDropped } = props
  const { t } = useTranslation('collage')
  const zooming = useZoom()
  const size = boardSizes[arranging.collage.size]
  const [isOver, setIsOver] = useState(false)
  const geometry = useMemo((): Geometry => {
    const painted = { width: size.width * PIXELS, height: size.height * PIXELS }
    return { size: painted, toOriginal: IDENTITY, toResult: IDENTITY }
  }, [size])
  const isPointing = speaking.isRecording || speaking.moments.length > 0
  return (
    <div
      className={`${bench.panes} ${styles.room}`}
      style={{ aspectRatio: `${size.width} / ${size.height}` }}
      data-over={isOver}
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes(TRAY_DRAG)) return
        event.preventDefault()
        setIsOver(true)
      }}
      onDragLeave={() => setIsOver(false)}
      onDrop={(event) => {
        if (!event.dataTransfer.types.includes(TRAY_DRAG)) return
        event.preventDefault()
        setIsOver(false)
        const item = draggedItem.get()
        if (item) onDropped(item)
      }}
    >
      <Pane
        half="board"
        label={null}
        name={t('board')}
        size={size}
        zoom={zooming.zoom}
        onZoom={zooming.zoomBy}
      >
        <BoardCanvas collage={arranging.collage} opened={opened} />
        {pen ? (
          <DrawSurface arranging={arranging} pen={pen} />
        ) : (
          <BoardOverlay {...{ arranging, nameOf, isSnapping, onWrite }} />
        )}
        {isPointing ? <SpeakOverlay speaking={speaking} geometry={geometry} /> : null}
      </Pane>
      <ZoomBar {...zooming} />
    </div>
  )
}
