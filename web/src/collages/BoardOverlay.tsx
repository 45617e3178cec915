// What lies on the board, to be taken hold of: chosen, moved with snapping, resized and turned, by pointer, finger and keys.
import type { Layer } from '@valise/core/pictures'
import type { KeyboardEvent } from 'react'
import { handleStyles as handles, arrowStep, placeOf } from '../pictures/bench/index.ts'
import { Frame } from './Frame.tsx'
import type { Arranging } from './useArranging.ts'
import { boxBetween, useBoardDrag } from './useBoardDrag.ts'
import styles from './Collage.module.css'

interface BoardOverlayProps {
  readonly arranging: Arranging
  readonly nameOf: (layer: Layer) => string
  readonly isSnapping: boolean
  /** Wants to write into what is chosen. */
  readonly onWrite: () => void
}

export function BoardOverlay({ arranging, nameOf, isSnapping, onWrite }: BoardOverlayProps) {
  const { collage, ids } = arranging
  const { size, surface, guides, setGuides, lasso, setLasso, near, begin, go, end, endLasso } = useBoardDrag(
    arranging,
    isSnapping,
  )
  return (
    <div
      ref={surface}
      className={handles.surface}
      data-board
      tabIndex={-1}
      onPointerDown={(event) => {
        if (event.button !== 0) return
        event.currentTarget.setPointerCapture(event.pointerId)
        const at = placeOf(event, event.currentTarget, size)
        setLasso([at, at])
      }}
      onPointerMove={(event) => {
        if (lasso) setLasso([lasso[0], placeOf(event, event.currentTarget, size)])
      }}
      onPointerUp={endLasso}
      onPointerCancel={() => setLasso(null)}
      onKeyDown={(event) => actByKey(event, arranging)}
    >
      {collage.layers.map((layer) => (
        <button
          key={layer.id}
          type="button"
          className={styles.layer}
          data-kind={layer.kind}
          data-chosen={ids.has(layer.id)}
          data-locked={layer.isLocked}
          aria-label={nameOf(layer)}
          aria-pressed={ids.has(layer.id)}
          style={{
            left: `${(layer.x / size.width) * 100}%`,
            top: `${(layer.y / size.height) * 100}%`,
            width: `${(layer.width / size.width) * 100}%`,
            height: `${(layer.height / size.height) * 100}%`,
            transform: `rotate(${layer.turn}deg)`,
          }}
          onFocus={(event) => {
            if (event.currentTarget.matches(':focus-visible') && !ids.has(layer.id))
              arranging.choose(layer.id)
          }}
          onPointerDown={(event) => begin(event, layer)}
          onPointerMove={go}
          onPointerUp={end}
          onPointerCancel={end}
          onDoubleClick={onWrite}
          onClick={(event) => {
            // By keys: Enter writes, with Shift it chooses one more.
            if (event.detail !== 0) return
            if (event.shiftKey) arranging.choose(layer.id, true)
            else onWrite()
          }}
          onKeyDown={(event) => {
            const step = arrowStep(event)
            if (!step) return
            event.preventDefault()
            arranging.move(step)
          }}
          onKeyUp={(event) => {
            if (event.key.startsWith('Arrow')) arranging.done()
          }}
        />
      ))}
      <Frame arranging={arranging} size={size} isSnapping={isSnapping} near={near} onGuides={setGuides} />
      <svg className={handles.lines} viewBox={`0 0 ${size.width} ${size.height}`} aria-hidden>
        {guides.map(({ along, at, from, to }) => (
          <line
            key={`${along}${at}`}
            className={styles.guide}
            {...(along === 'down'
              ? { x1: at, x2: at, y1: from, y2: to }
              : { x1: from, x2: to, y1: at, y2: at })}
          />
        ))}
        {lasso ? <rect className={styles.lasso} {...boxBetween(lasso[0], lasso[1])} /> : null}
      </svg>
    </div>
  )
}

/** What keys do with all that is chosen; undo and redo have keys of their own. */
function actByKey(event: KeyboardEvent, arranging: Arranging): void {
  const isWithControl = event.ctrlKey || event.metaKey
  const act = isWithControl
    ? {
        a: () => arranging.chooseMany(arranging.collage.layers.map(({ id }) => id)),
        d: arranging.duplicate,
        g: event.shiftKey ? arranging.ungroup : arranging.group,
      }[event.key.toLowerCase()]
    : {
        Delete: arranging.drop,
        Backspace: arranging.drop,
        PageUp: () => arranging.order(event.shiftKey ? 'nearest' : 'nearer'),
        PageDown: () => arranging.order(event.shiftKey ? 'furthest' : 'further'),
        Escape: () => arranging.choose(null),
      }[event.key]
  if (!act || event.altKey) return
  event.preventDefault()
  act()
  // What was taken off had the keys; they stay on the board.
  if (act === arranging.drop && event.currentTarget instanceof HTMLElement) event.currentTarget.focus()
}
