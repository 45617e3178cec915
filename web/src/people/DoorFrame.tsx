// The frame of the screens before one is in: the mark, the paper, the base of the case.
import type { ReactNode } from 'react'
import { useEffect } from 'react'
import { Corner } from '../ui/Corner.tsx'
import { Mark } from '../ui/Mark.tsx'
import { setPlace } from '../ui/place.ts'
import { LanguageSwitch } from './LanguageSwitch.tsx'
import styles from './DoorFrame.module.css'

interface DoorFrameProps {
  readonly title: string
  readonly lead: ReactNode
  readonly children: ReactNode
  readonly aside?: ReactNode
}

export function DoorFrame({ title, lead, children, aside }: DoorFrameProps) {
  useEffect(() => setPlace({ name: title, parent: '' }), [title])
  return (
    <div className={styles.frame}>
      <header className={styles.top}>
        <Mark />
        <LanguageSwitch />
      </header>
      <main className={styles.paper} data-aside={aside ? 'there' : 'none'}>
        <section className={styles.door}>
          <h1>{title}</h1>
          <p className={styles.lead}>{lead}</p>
          {children}
        </section>
        {aside}
      </main>
      <div className={styles.base} aria-hidden="true">
        <Corner side="left" />
        <Corner side="right" />
      </div>
    </div>
  )
}
