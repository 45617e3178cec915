// Rows of things at one height; the open one has its drawer under its row.
import type { EvidenceRow } from '@valise/core/evidence'
import { Fragment, useRef, useState } from 'react'
import type { KeyboardEvent, ReactNode } from 'react'
import { useWidth } from '../ui/useWidth.ts'
import { EvidenceTile } from './EvidenceTile.tsx'
import { layOutRows } from './rows.ts'
import { ratioOf } from './Thumbnail.tsx'
import styles from './EvidenceGrid.module.css'

const GAP = 12
const HEIGHT = 108
const shape = { height: HEIGHT, gap: GAP, least: 136, most: 214 }

interface EvidenceGridProps {
  readonly label: string
  readonly items: readonly EvidenceRow[]
  readonly openId: string | null
  readonly onToggle: (id: string) => void
  /** What stands under the row of the open item; it gets where its pointer is to stand. */
  readonly drawer: (pointerAt: number) => ReactNode
}

export function EvidenceGrid({ label, items, openId, onToggle, drawer }: EvidenceGridProps) {
  const grid = useRef<HTMLDivElement>(null)
  const width = useWidth(grid)
  const [currentId, setCurrentId] = useState<string | null>(null)
  const rows = width === 0 ? [] : layOutRows(items.map(ratioOf), { ...shape, width, least: leastAt(width) })
  const current = items.some(({ id }) => id === currentId) ? currentId : (openId ?? items[0]?.id ?? null)
  const starts = rows.map((_, n) => rows.slice(0, n).reduce((sum, row) => sum + row.length, 0))

  const focus = (id: string | undefined) => {
    if (id === undefined) return
    setCurrentId(id)
    grid.current?.querySelector<HTMLElement>(`[data-tile="${id}"]`)?.focus()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const at = items.findIndex(({ id }) => id === current)
    const isOnTile = event.target instanceof HTMLElement && event.target.dataset['tile'] !== undefined
    const to = isOnTile ? targetOf(event.key, at, starts, rows, items.length) : null
    if (to === null) return
    event.preventDefault()
    focus(items[to]?.id)
  }

  return (
    <div ref={grid} className={styles.grid} onKeyDown={onKeyDown}>
      {rows.map((widths, n) => {
        const start = starts[n] ?? 0
        const inRow = items.slice(start, start + widths.length)
        const open = inRow.findIndex(({ id }) => id === openId)
        return (
          <Fragment key={inRow[0]?.id}>
            <ul className={styles.row} aria-label={label}>
              {inRow.map((item, place) => (
                <EvidenceTile
                  key={item.id}
                  item={item}
                  width={widths[place] ?? 0}
                  height={HEIGHT}
                  isOpen={item.id === openId}
                  isCurrent={item.id === current}
                  onOpen={() => onToggle(item.id)}
                  onFocus={() => setCurrentId(item.id)}
                />
              ))}
            </ul>
            {open === -1 ? null : drawer(centreOf(widths, open) + GAP)}
          </Fragment>
        )
      })}
    </div>
  )
}

/** Two side by side even on a phone. */
function leastAt(width: number): number {
  return Math.min(shape.least, Math.floor((width - GAP) / 2))
}

function centreOf(widths: readonly number[], place: number): number {
  const before = widths.slice(0, place).reduce((sum, one) => sum + one + GAP, 0)
  return before + (widths[place] ?? 0) / 2
}

/** Where an arrow leads from the thing at `at`; up and down go to what stands nearest in the next row. */
function targetOf(
  key: string,
  at: number,
  starts: readonly number[],
  rows: readonly (readonly number[])[],
  count: number,
): number | null {
  const rowOf = starts.findLastIndex((start) => start <= at)
  const into = (n: number) => {
    const widths = rows[n]
    if (!widths) return null
    const centre = centreOf(rows[rowOf] ?? [], at - (starts[rowOf] ?? 0))
    const distances = widths.map((_, place) => Math.abs(centreOf(widths, place) - centre))
    return (starts[n] ?? 0) + distances.indexOf(Math.min(...distances))
  }
  switch (key) {
    case 'ArrowRight':
      return Math.min(count - 1, at + 1)
    case 'ArrowLeft':
      return Math.max(0, at - 1)
    case 'ArrowDown':
      return into(rowOf + 1)
    case 'ArrowUp':
      return into(rowOf - 1)
    case 'Home':
      return 0
    case 'End':
      return count - 1
    default:
      return null
  }
}
