// Strips of things: as a grid, or by day along a line. Only those in sight are there; the open thing has its drawer
// under its strip.
import type { EvidenceRow } from '@valise/core/evidence'
import type { ReactNode } from 'react'
import { EvidenceTile } from './EvidenceTile.tsx'
import type { Choosing } from './useChoosing.ts'
import { centreIn } from './strips.ts'
import { useMarks } from './useMarks.ts'
import { GAP, HEIGHT, useStrips } from './useStrips.ts'
import styles from './EvidenceGrid.module.css'

export interface EvidenceGridProps {
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
  const { label, openId, choosing, onToggle, drawer, dayOf } = props
  const marks = useMarks()
  const { grid, strips, virtual, beside, current, setCurrentId, onKeyDown } = useStrips(props)

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
