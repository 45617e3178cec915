// Rows of unequal height of which only those in sight are there: the window of the work area moves over them.
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual'
import type { VirtualItem } from '@tanstack/react-virtual'
import { useLayoutEffect, useState } from 'react'
import type { RefObject } from 'react'

interface RowsWish {
  readonly count: number
  /** Pixels that a row takes before it was measured. */
  readonly estimate: number
  readonly keyOf: (n: number) => string
  /** Rows that stay wherever the window is: the one that is open, the one that has the focus. */
  readonly staying: readonly number[]
  /** The element that holds the rows. */
  readonly holder: RefObject<HTMLElement | null>
  /** Called when the last rows come into sight. */
  readonly onEnd: () => void
}

export interface VirtualRows {
  readonly rows: readonly VirtualItem[]
  readonly height: number
  measure(element: Element | null): void
}

const OVERSCAN = 3

export function useVirtualRows({ count, estimate, keyOf, staying, holder, onEnd }: RowsWish): VirtualRows {
  const [margin, setMargin] = useState(0)
  const virtualizer = useVirtualizer({
    count,
    getScrollElement: () => document.getElementById('work'),
    estimateSize: () => estimate,
    getItemKey: keyOf,
    scrollMargin: margin,
    overscan: OVERSCAN,
    rangeExtractor: (range) => {
      const seen = defaultRangeExtractor(range)
      const more = staying.filter((n) => n >= 0 && n < count && !seen.includes(n))
      return [...seen, ...more].sort((a, b) => a - b)
    },
  })
  // What stands above the rows moves them, and says so to nobody: where they begin is measured after every rendering. It
  // comes to rest, because a second measurement finds the same.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useLayoutEffect(() => {
    const work = document.getElementById('work')
    if (!holder.current || !work) return
    const top = holder.current.getBoundingClientRect().top - work.getBoundingClientRect().top + work.scrollTop
    if (Math.abs(top - margin) > 1) setMargin(top)
  })
  const rows = virtualizer.getVirtualItems()
  const last = rows.at(-1)?.index ?? 0
  useLayoutEffect(() => {
    if (count > 0 && last >= count - 1 - OVERSCAN) onEnd()
    // What matters is that the end is near, not who is called.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [last, count])
  return {
    rows: rows.map((row) => ({ ...row, start: row.start - margin })),
    height: virtualizer.getTotalSize(),
    measure: virtualizer.measureElement,
  }
}
