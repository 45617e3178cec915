// How wide an element is, following every change.
import { useEffect, useState } from 'react'
import type { RefObject } from 'react'

/** Returns the inner width in CSS pixels; 0 until it is known. */
export function useWidth(ref: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => setWidth(Math.floor(entry?.contentRect.width ?? 0)))
    observer.observe(element)
    return () => observer.disconnect()
  }, [ref])
  return width
}
