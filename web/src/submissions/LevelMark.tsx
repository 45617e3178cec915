// The level that was given: its notch, and always its words.
import type { ReceivedLevel } from '@valise/core/submissions'
import { NotchMeter } from '../ui/NotchMeter.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './LevelMark.module.css'

export function LevelMark({ received }: { readonly received: ReceivedLevel }) {
  const words = useSubmissionWords()
  return (
    <span className={styles.mark}>
      <NotchMeter position={received.position} of={received.of} />
      {words.level(received)}
    </span>
  )
}
