// The frame about what is chosen, with handles to resize and turn it, and the end of a bubble's tail.
import { boundsOf, resizeLayers, snapBox, turnLayers } from '@valise/core/pictures'
import type { Guide, Layer, Point, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { Handle } from '../pictures/bench/index.ts'
import { corners, dragCorner, dragGrip, fromMiddle, gripAt, sides, spotFromMiddle, turnTo } from './frame.ts'
import type { Grip } from './frame.ts'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

interface FrameProps {
  readonly arranging: Arranging
  readonly size: Size
  readonly isSnapping: boolean
  readonly near: () => number
  readonly onGuides: (guides: readonly Guide[]) => void
}

export function Frame({ arranging, size, isSnapping, near, onGuides }: FrameProps) {
  const { t } = useTranslation('collage')
  const { chosen, bounds, collage, ids } = arranging
  const free = chosen.filter(({ isLocked }) => !isLocked)
  if (!bounds || free.length === 0) return null
  const single = chosen.length === 1 ? free[0] : undefined
  const box = single ? single : { ...bounds, turn: 0 }
  // Handles of something small would lie over each other and over it: one of them, a little outside, is enough.
  const isSmall = box.width < size.width * SMALL || box.height < size.height * SMALL
  const out = isSmall ? size.width * OUTSIDE : 0
  const roomy = {
    ...box,
    x: box.x - out,
    y: box.y - out,
    width: box.width + 2 * out,
    height: box.height + 2 * out,
  }
  const grips = isSmall ? corners.filter(isLowerRight) : [...corners, ...(single ? sides : [])]
  /** What a handle outside the frame stands for. */
  const inward = (grip: Grip, to: Point): Point => {
    const [outside, at] = [gripAt(roomy, grip), gripAt(box, grip)]
    return { x: to.x - outside.x + at.x, y: to.y - outside.y + at.y }
  }
  const above = Math.min(size.width, size.height) * 0.05
  const top = gripAt(box, { across: 0, down: -1 })
  const angle = (box.turn * Math.PI) / 180
  const done = () => {
    onGuides([])
    arranging.done()
  }
  const snapped = (to: Point): Point => {
    if (!isSnapping || box.turn !== 0) return to
    const others = collage.layers.filter(({ id, kind }) => !ids.has(id) && kind !== 'drawing')
    const { by, guides } = snapBox(
      { ...to, width: 0, height: 0 },
      [{ x: 0, y: 0, ...size }, ...others.map(boundsOf)],
      near(),
    )
    onGuides(guides)
    return { x: to.x + by.x, y: to.y + by.y }
  }
  const resize = (grip: Grip, to: Point) => {
    if (single)
      return arranging.change((layer) => dragGrip(layer, grip, snapped(to), holdsShape(layer)), true)
    arranging.show(resizeLayers(collage.layers, ids, bounds, dragCorner(bounds, grip, snapped(to))))
  }
  return (
    <>
      <span
        className={styles.frame}
        style={{
          left: `${(box.x / size.width) * 100}%`,
          top: `${(box.y / size.height) * 100}%`,
          width: `${(box.width / size.width) * 100}%`,
          height: `${(box.height / size.height) * 100}%`,
          transform: `rotate(${box.turn}deg)`,
        }}
        aria-hidden
      />
      {grips.map((grip) => (
        <Handle
          key={nameOf(grip)}
          label={t(`frame.${nameOf(grip)}`)}
          at={gripAt(roomy, grip)}
          size={size}
          shape={grip.across === 0 || grip.down === 0 ? 'edge' : 'square'}
          onMove={(to) => resize(grip, inward(grip, to))}
          onDone={done}
        />
      ))}
      <Handle
        label={t('frame.turn')}
        at={{ x: top.x + above * Math.sin(angle), y: top.y - above * Math.cos(angle) }}
        size={size}
        shape="diamond"
        onMove={(to) => arranging.show(turnLayers(collage.layers, ids, turnTo(box, box.turn, to, false)))}
        onDone={done}
      />
      {single?.kind === 'shape' && single.tail ? (
        <Handle
          label={t('frame.tail')}
          at={spotFromMiddle(single, single.tail as [number, number])}
          size={size}
          shape="edge"
          onMove={(to) =>
            arranging.change(
              (layer) => (layer.kind === 'shape' ? { ...layer, tail: fromMiddle(layer, to) } : layer),
              true,
            )
          }
          onDone={done}
        />
      ) : null}
    </>
  )
}

/** Frames under this part of a side of the board have no room for eight handles. */
const SMALL = 0.1
/** How far outside the one handle stands then, in parts of the board's width. */
const OUTSIDE = 0.03

function isLowerRight({ across, down }: Grip): boolean {
  return across === 1 && down === 1
}

/** Pictures and numbers keep their shape at corners; their sides crop or stretch. */
function holdsShape({ kind }: Layer): boolean {
  return kind === 'picture' || kind === 'number' || kind === 'drawing'
}

function nameOf({ across, down }: Grip) {
  const name = `${['n', '', 's'][down + 1] ?? ''}${['w', '', 'e'][across + 1] ?? ''}`
  // Every grip lies on one of the eight, never in the middle.
  return name as 'n' | 'e' | 's' | 'w' | 'nw' | 'ne' | 'se' | 'sw'
}
