// What lies under a finger, large and beside it.
import type { Point, Size } from '@valise/core/pictures'
import { useEffect, useRef } from 'react'
import styles from './Handles.module.css'

interface MagnifierProps {
  readonly image: HTMLImageElement | null
  /** In pixels of the picture that `size` tells. */
  readonly at: Point
  readonly size: Size
}

const SIDE = 264
/** A part of the picture's longer side that is shown. */
const SEEN = 0.09

export function Magnifier({ image, at, size }: MagnifierProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context || !image) return
    const scale = image.naturalWidth / size.width
    const seen = Math.max(image.naturalWidth, image.naturalHeight) * SEEN
    context.fillStyle = '#1c2b33'
    context.fillRect(0, 0, SIDE, SIDE)
    context.drawImage(image, at.x * scale - seen / 2, at.y * scale - seen / 2, seen, seen, 0, 0, SIDE, SIDE)
  }, [image, at, size])
  // It keeps away from the finger: to the right of what lies left, and to the left of what lies right.
  const isLeft = at.x < size.width / 2
  return (
    <span
      className={styles.magnifier}
      style={isLeft ? { right: 8, top: 8 } : { left: 8, top: 8 }}
      aria-hidden
    >
      <canvas ref={canvas} width={SIDE} height={SIDE} />
    </span>
  )
}
