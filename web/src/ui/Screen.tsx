// The frame of a screen: its one sentence, a quiet line under it, and the panel at its side.
import Typography from '@mui/material/Typography'
import { useEffect } from 'react'
import type { ReactNode } from 'react'
import { setPlace } from './place.ts'
import type { PlaceName } from './place.ts'
import styles from './Screen.module.css'

interface ScreenProps {
  /** The name of the place, for the top bar and the window. */
  readonly place: string
  /** The thing that is open, for the window's title, where the place does not name it. */
  readonly title?: string | undefined
  /** What the place is part of, or the day. */
  readonly parent?: string
  /** The place of the rail that it belongs to, where the address does not say so. */
  readonly within?: PlaceName
  readonly sentence: ReactNode
  readonly lead?: ReactNode
  /** The one main act of the screen, beside its sentence. */
  readonly act?: ReactNode
  readonly panel?: ReactNode
  readonly panelLabel?: string
  readonly children?: ReactNode
}

export function Screen(props: ScreenProps) {
  const { place, title, parent = '', within, sentence, lead, act, panel, panelLabel, children } = props
  useEffect(
    () => setPlace({ name: place, parent, ...(title && { title }), ...(within && { within }) }),
    [place, title, parent, within],
  )
  return (
    <div className={styles.screen} data-panel={panel ? 'there' : 'none'}>
      <div className={styles.column}>
        <header className={styles.head}>
          <div>
            {parent ? <p className={styles.parent}>{parent}</p> : null}
            <Typography variant="h1">{sentence}</Typography>
            {lead ? <p className={styles.lead}>{lead}</p> : null}
          </div>
          {act}
        </header>
        {children}
      </div>
      {panel ? (
        <aside className={styles.panel} aria-label={panelLabel}>
          {panel}
        </aside>
      ) : null}
    </div>
  )
}
