// The tick on a thing: for choosing several. It shows when it is pointed at, and on all while anything is chosen.
import type { EvidenceRow } from '@valise/core/evidence'
import type { Choosing } from './useChoosing.ts'
import type { Marks } from './useMarks.ts'
import styles from './TickMark.module.css'

interface TickMarkProps {
  readonly item: EvidenceRow
  readonly choosing: Choosing
  readonly marks: Marks
  readonly tabIndex?: number
}

export function TickMark({ item, choosing, marks: { t, words }, tabIndex }: TickMarkProps) {
  return (
    <label className={styles.mark} data-any={choosing.ids.length > 0}>
      <input
        type="checkbox"
        tabIndex={tabIndex}
        checked={choosing.has(item.id)}
        aria-label={t('choosing.choose', { title: words.title(item) })}
        // The change of a box does not tell of Shift, the press on it does.
        onClick={(event) => choosing.toggle(item.id, event.shiftKey)}
        onChange={() => undefined}
      />
    </label>
  )
}
