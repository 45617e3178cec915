// Dropping on the paper: things out of the Tray and files from the device go where they are let go.
import { COLUMNS } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { useState } from 'react'
import type { DragEvent, RefObject } from 'react'
import { draggedItem, TRAY_DRAG } from '../evidence/tray/index.ts'
import { holdsFiles, readDrop } from '../evidence/upload/index.ts'
import { findDropTarget } from './dropPlace.ts'
import type { Box, DropTarget, RowBox } from './dropPlace.ts'
import type { PagePlace } from './places.ts'
import { usePage } from './usePageEditor.ts'

interface PaperDrop {
  /** The line to draw, in pixels from the paper's top left; null while nothing is over it. */
  readonly line: Box | null
  readonly handlers: {
    onDragOver(event: DragEvent): void
    onDragLeave(event: DragEvent): void
    onDropCapture(event: DragEvent): void
  }
}

/**
 * @param onFiles handles files that are dropped at a place
 */
export function usePaperDrop(
  paper: RefObject<HTMLElement | null>,
  onFiles: (files: readonly File[], place: PagePlace) => void,
): PaperDrop {
  const { draft, addEvidence } = usePage()
  const [target, setTarget] = useState<DropTarget | null>(null)
  const isTaken = ({ dataTransfer }: DragEvent) =>
    dataTransfer.types.includes(TRAY_DRAG) || holdsFiles(dataTransfer)
  const targetOf = (event: DragEvent): DropTarget | null =>
    paper.current ? findTargetIn(paper.current, draft.document, { x: event.clientX, y: event.clientY }) : null
  return {
    line: target?.line ?? null,
    handlers: {
      onDragOver: (event) => {
        if (!isTaken(event)) return
        event.preventDefault()
        event.dataTransfer.dropEffect = 'copy'
        setTarget(targetOf(event))
      },
      onDragLeave: (event) => {
        const to = event.relatedTarget
        if (!(to instanceof Node) || !event.currentTarget.contains(to)) setTarget(null)
      },
      // Before the text that is being written: it would take an address or nothing.
      onDropCapture: (event) => {
        if (!isTaken(event)) return
        event.preventDefault()
        setTarget(null)
        const place = targetOf(event)?.place
        const item = draggedItem.get()
        draggedItem.set(null)
        if (!place) return
        if (item) addEvidence([item], place)
        else void readDrop(event.dataTransfer).then((files) => onFiles(files, place))
      },
    },
  }
}

function findTargetIn(
  paper: HTMLElement,
  document: PageDocument,
  point: { x: number; y: number },
): DropTarget {
  const origin = paper.getBoundingClientRect()
  const boxOf = (element: Element): Box => {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { left: left - origin.left, top: top - origin.top, width, height }
  }
  const rows = document.rows.flatMap(({ id, pieces }): RowBox[] => {
    const element = paper.querySelector(`[data-row="${id}"] > .row`)
    if (!element) return []
    return [
      {
        id,
        box: boxOf(element),
        isFull: pieces.reduce((sum, { span }) => sum + span, 0) >= COLUMNS,
        pieces: pieces.flatMap((piece) => {
          const found = element.querySelector(`[data-piece="${piece.id}"]`)
          return found ? [{ id: piece.id, box: boxOf(found) }] : []
        }),
      },
    ]
  })
  const title = paper.querySelector('h1')
  const { paddingLeft, paddingRight } = getComputedStyle(paper)
  const left = parseFloat(paddingLeft)
  const top = title ? boxOf(title).top + boxOf(title).height : 0
  return findDropTarget(
    rows,
    { left, top, width: origin.width - left - parseFloat(paddingRight), height: origin.height },
    { x: point.x - origin.left, y: point.y - origin.top },
  )
}
