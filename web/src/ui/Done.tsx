// Something that was just done, said where it was asked for, and read aloud.
import { IconCheck } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import styles from './Note.module.css'

export function Done({ children }: { children: ReactNode }) {
  return (
    <div role="status" data-kind="done" className={children ? styles.note : styles.silent}>
      {children ? (
        <>
          <IconCheck size={18} stroke={1.7} aria-hidden="true" />
          <span>{children}</span>
        </>
      ) : null}
    </div>
  )
}
