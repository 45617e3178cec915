// The horizon line: what ought to be level is traced with it, and the picture is turned so that it is.
import type { Point, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { Handle } from './Handle.tsx'
import styles from './Handles.module.css'

export type Line = readonly [Point, Point]

interface HorizonOverlayProps {
  readonly line: Line
  readonly size: Size
  readonly onMove: (line: Line) => void
  readonly onDone: () => void
}

export function HorizonOverlay({ line, size, onMove, onDone }: HorizonOverlayProps) {
  const { t } = useTranslation('bench')
  const [from, to] = line
  const ends = { x1: from.x, y1: from.y, x2: to.x, y2: to.y }
  return (
    <>
      <svg
        className={styles.lines}
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        <line className={styles.dark} {...ends} />
        <line className={styles.outline} {...ends} />
      </svg>
      <Handle
        label={t('turn.left')}
        at={from}
        size={size}
        shape="edge"
        onMove={(at) => onMove([at, to])}
        onDone={onDone}
      />
      <Handle
        label={t('turn.right')}
        at={to}
        size={size}
        shape="edge"
        onMove={(at) => onMove([from, at])}
        onDone={onDone}
      />
    </>
  )
}
