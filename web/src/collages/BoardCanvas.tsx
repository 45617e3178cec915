// The board as it will be painted, as fine as the screen shows it.
import { boardSizes, MONO_FONT, paintCollage, SERIF_FONT, TEXT_FONT } from '@valise/core/pictures'
import type { BoardDrawing, Collage } from '@valise/core/pictures'
import { useEffect, useRef, useState } from 'react'
import { useBoxSize } from '../pictures/bench/index.ts'
import { pictureKey } from './usePictures.ts'
import type { Opened } from './usePictures.ts'
import styles from './Collage.module.css'

interface BoardCanvasProps {
  readonly collage: Collage
  readonly opened: Opened
}

type Painted = HTMLImageElement | HTMLCanvasElement
const MOST_PIXELS_ACROSS = 4000

export function BoardCanvas({ collage, opened }: BoardCanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const shown = useBoxSize(canvas).width
  const haveFonts = useBoardFonts()
  useEffect(() => {
    const element = canvas.current
    const drawing = element && drawingOn(element)
    if (!element || !drawing || shown === 0) return
    const { width, height } = boardSizes[collage.size]
    const fine = Math.min(
      (shown / width) * Math.min(2, window.devicePixelRatio || 1),
      MOST_PIXELS_ACROSS / width,
    )
    element.width = Math.max(1, Math.round(width * fine))
    element.height = Math.max(1, Math.round(height * fine))
    paintCollage<Painted>(
      {
        drawing,
        pictureOf: (wanted) => {
          const image = opened.get(pictureKey(wanted))
          return image ? { image, width: image.naturalWidth, height: image.naturalHeight } : null
        },
        clearSheet: (size) => {
          const sheet = document.createElement('canvas')
          sheet.width = size.width
          sheet.height = size.height
          const on = drawingOn(sheet)
          if (!on) throw new Error('this browser gives no canvas')
          return { drawing: on, image: sheet }
        },
      },
      collage,
      fine,
    )
  }, [collage, opened, shown, haveFonts])
  return <canvas ref={canvas} className={styles.canvas} aria-hidden />
}

function drawingOn(canvas: HTMLCanvasElement): BoardDrawing<Painted> | null {
  // Its names are wider than those that are painted with.
  return canvas.getContext('2d') as unknown as BoardDrawing<Painted> | null
}

/** Words painted before their font has come would stay in another one. */
function useBoardFonts(): boolean {
  const [haveFonts, setHaveFonts] = useState(false)
  useEffect(() => {
    let isOver = false
    const families = [TEXT_FONT, SERIF_FONT, MONO_FONT].map((family) =>
      document.fonts.load(`500 20px "${family}"`),
    )
    void Promise.allSettled(families).then(() => {
      if (!isOver) setHaveFonts(true)
    })
    return () => {
      isOver = true
    }
  }, [])
  return haveFonts
}
