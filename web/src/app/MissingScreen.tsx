// An address that leads nowhere, inside the frame.
import { Missing } from '../ui/Missing.tsx'
import styles from './MissingScreen.module.css'

export function MissingScreen() {
  return (
    <div className={styles.missing}>
      <Missing />
    </div>
  )
}
