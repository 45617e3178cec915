// Strips of things: laid out by the width there is, with those in sight, and the keys that lead from one to the next.
import { useMemo, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { flushSync } from 'react-dom'
import { useWidth } from '../../ui/useWidth.ts'
import { arrowTarget, layOutDays, layOutStrips } from './strips.ts'
import { useVirtualRows } from './useVirtualRows.ts'
import type { EvidenceGridProps } from './EvidenceGrid.tsx'

export const GAP = 12
export const HEIGHT = 108
/** Room beside a day's strips for its name, where there is any. */
const DAY_WIDTH = 104

const shape = { height: HEIGHT, gap: GAP, least: 136, most: 214 }

/** A strip with two lines of words and the space under it. */
const ESTIMATE = HEIGHT + 62

export function useStrips({ items, openId, dayOf, onEnd }: EvidenceGridProps) {
  const grid = useRef<HTMLDivElement>(null)
  const whole = useWidth(grid)
  const beside = dayOf && whole > 520 ? DAY_WIDTH : 0
  const width = Math.max(0, whole - beside)
  const [currentId, setCurrentId] = useState<string | null>(null)
  const strips = useMemo(() => {
    if (width === 0) return []
    const rules = { ...shape, width, least: leastAt(width) }
    return dayOf ? layOutDays(items, rules, dayOf) : layOutStrips(items, rules)
  }, [items, width, dayOf])
  const placeOf = (id: string | null) => (id === null ? -1 : items.findIndex((item) => item.id === id))
  const stripOf = (place: number) => (place === -1 ? -1 : strips.findLastIndex(({ start }) => start <= place))
  const currentPlace = placeOf(currentId)
  const current = currentPlace === -1 ? (openId ?? items[0]?.id ?? null) : currentId
  const virtual = useVirtualRows({
    count: strips.length,
    estimate: ESTIMATE,
    keyOf: (n) => strips[n]?.items[0]?.id ?? String(n),
    staying: [stripOf(currentPlace), stripOf(placeOf(openId))],
    holder: grid,
    onEnd,
  })

  const focus = (place: number) => {
    const id = items[place]?.id
    if (id === undefined) return
    // What has the focus is always there, also out of sight: at once, so that no key falls between.
    flushSync(() => setCurrentId(id))
    grid.current?.querySelector<HTMLElement>(`[data-tile="${id}"]`)?.focus()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const isOnTile = event.target instanceof HTMLElement && event.target.dataset['tile'] !== undefined
    const to = isOnTile ? arrowTarget(event.key, Math.max(0, placeOf(current)), strips, GAP) : null
    if (to === null) return
    event.preventDefault()
    focus(to)
  }
  return { grid, strips, virtual, beside, current, setCurrentId, onKeyDown }
}

/** Two side by side even on a phone. */
function leastAt(width: number): number {
  return Math.min(shape.least, Math.floor((width - GAP) / 2))
}
