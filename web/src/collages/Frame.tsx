// The frame about what is chosen, with handles to resize and turn it, and the end of a bubble's tail.
import { boundsOf, resizeLayers, snapBox, turnLayers } from '@valise/core/pictures'
import type { Guide, Layer, Point, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { Handle } from '../pictures/bench/index.ts'
import {
  dragCorner,
  dragGrip,
  fromMiddle,
  gripAt,
  inward,
  layOutFrame,
  spotFromMiddle,
  turnTo,
} from './frame.ts'
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
  const { single, box, roomy, grips, turnAt } = layOutFrame(chosen, bounds, size)
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
          onMove={(to) => resize(grip, inward(roomy, box, grip, to))}
          onDone={done}
        />
      ))}
      <Handle
        label={t('frame.turn')}
        at={turnAt}
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

/** Pictures and numbers keep their shape at corners; their sides crop or stretch. */
function holdsShape({ kind }: Layer): boolean {
  return kind === 'picture' || kind === 'number' || kind === 'drawing'
}

function nameOf({ across, down }: Grip) {
  const name = `${['n', '', 's'][down + 1] ?? ''}${['w', '', 'e'][across + 1] ?? ''}`
  // Every grip lies on one of the eight, never in the middle.
  return name as 'n' | 'e' | 's' | 'w' | 'nw' | 'ne' | 'se' | 'sw'
}
