// What went wrong, what is safe, what to do: said where it happened, and read aloud.
import { IconAlertOctagon } from '@tabler/icons-react'
import { useProblemWords } from './useProblemWords.ts'
import styles from './Note.module.css'

export function Refusal({ error }: { error: unknown }) {
  const { sentence } = useProblemWords()
  if (!error) return null
  return (
    <div role="alert" data-kind="refusal" className={styles.note}>
      <IconAlertOctagon size={18} stroke={1.7} aria-hidden="true" />
      <span>{sentence(error)}</span>
    </div>
  )
}
