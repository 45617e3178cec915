// How large an element is, following every change.
import type { Size } from '@valise/core/pictures'
import { useEffect, useState } from 'react'
import type { RefObject } from 'react'

/** Returns the inner size in CSS pixels; 0 by 0 until it is known. */
export function useBoxSize(ref: RefObject<HTMLElement | null>): Size {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 })
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(() =>
      setSize({ width: element.clientWidth, height: element.clientHeight }),
    )
    observer.observe(element)
    return () => observer.disconnect()
  }, [ref])
  return size
}
