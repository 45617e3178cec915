// A stitched outline: something that is missing, a draft, or a place to put something. Never a button.
import type { ReactNode } from 'react'
import styles from './StitchedBox.module.css'

export function StitchedBox({ children, className = '' }: { children: ReactNode; className?: string }) {
  return <div className={`${styles.box} ${className}`}>{children}</div>
}
