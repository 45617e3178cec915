// Draws what the worker made.
import { useEffect, useRef } from 'react'
import styles from './ResultCanvas.module.css'

export function ResultCanvas({
  bitmap,
  label,
}: {
  readonly bitmap: ImageBitmap | null
  readonly label: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const element = canvas.current
    if (!element || !bitmap) return
    element.width = bitmap.width
    element.height = bitmap.height
    element.getContext('2d')?.drawImage(bitmap, 0, 0)
  }, [bitmap])
  return (
    <canvas
      ref={canvas}
      className={styles.image}
      role="img"
      aria-label={label}
      data-ready={bitmap !== null}
    />
  )
}
