// Strips of things: as a grid, or by day along a line. Only those in sight are there; the open thing has its drawer
// under its strip.
import type { EvidenceRow } from '@valise/core/evidence'
import { useMemo, useRef, useState } from 'react'
import type { KeyboardEvent, ReactNode } from 'react'
import { flushSync } from 'react-dom'
import { useWidth } from '../../ui/useWidth.ts'
import { EvidenceTile } from './EvidenceTile.tsx'
import type { Choosing } from './useChoosing.ts'
import { arrowTarget, centreIn, layOutDays, layOutStrips } from './strips.ts'
import { useMarks } from './useMarks.ts'
import { useVirtualRows } from './useVirtualRows.ts'
import styles from './EvidenceGrid.module.css'

const GAP = 12
const HEIGHT = 108
/** Room beside a day's strips for its name, where there is any. */
const DAY_WIDTH = 104
const shape = { height: HEIGHT, gap: GAP, least: 136, most: 214 }
/** A strip with two lines of words and the space under it. */
const ESTIMATE = HEIGHT + 62

interface EvidenceGridProps {
  readonly label: string
  readonly items: readonly EvidenceRow[]
  readonly openId: string | null
  readonly choosing: Choosing
  readonly onToggle: (id: string) => void
  /** What stands under the strip of the open item; it gets where its pointer is to stand. */
  readonly drawer: (pointerAt: number) => ReactNode
  /** The words of the day of a thing, where strips begin anew with each day. */
  readonly dayOf?: ((item: EvidenceRow) => string) | undefined
  /** Called when the end comes into sight. */
  readonly onEnd: () => void
}

export function EvidenceGrid(props: EvidenceGridProps) {
  const { label, items, openId, choosing, onToggle, drawer, dayOf, onEnd } = props
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
  const marks = useMarks()
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

  return (
    <div ref={grid} className={styles.grid} style={{ height: virtual.height }} onKeyDown={onKeyDown}>
      {virtual.rows.map(({ index, start, key }) => {
        const strip = strips[index]
        if (!strip) return null
        const open = strip.items.findIndex(({ id }) => id === openId)
        return (
          <div
            key={key}
            ref={virtual.measure}
            data-index={index}
            className={styles.strip}
            style={{ transform: `translateY(${start}px)` }}
          >
            {dayOf ? <DayHeading words={strip.heading} width={beside} /> : null}
            <ul className={styles.row} style={{ marginLeft: beside }} aria-label={strip.heading ?? label}>
              {strip.items.map((item, place) => (
                <EvidenceTile
                  key={item.id}
                  item={item}
                  width={strip.widths[place] ?? 0}
                  height={HEIGHT}
                  isOpen={item.id === openId}
                  isCurrent={item.id === current}
                  choosing={choosing}
                  marks={marks}
                  onOpen={onToggle}
                  onFocus={setCurrentId}
                />
              ))}
            </ul>
            {open === -1 ? null : drawer(beside + centreIn(strip, open, GAP) + GAP)}
          </div>
        )
      })}
    </div>
  )
}

/** A stop on the line of days; strips that go on with a day have the line alone. */
function DayHeading({ words, width }: { readonly words: string | null; readonly width: number }) {
  return (
    <div className={styles.day} data-beside={width > 0} style={width > 0 ? { width } : {}}>
      {words === null ? null : (
        <h2>
          <span className={styles.stop} aria-hidden="true" />
          {words}
        </h2>
      )}
    </div>
  )
}

/** Two side by side even on a phone. */
function leastAt(width: number): number {
  return Math.min(shape.least, Math.floor((width - GAP) / 2))
}
