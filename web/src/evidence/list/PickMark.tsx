// The case mark on a thing: puts it into the tray and takes it out again.
import type { EvidenceRow } from '@valise/core/evidence'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import type { Marks } from './useMarks.ts'
import styles from './PickMark.module.css'

interface PickMarkProps {
  readonly item: EvidenceRow
  readonly marks: Marks
  readonly tabIndex?: number
}

export function PickMark({ item, marks: { t, words, tray }, tabIndex }: PickMarkProps) {
  const isIn = tray.holds(item)
  const verb = isIn ? t('tray.out') : t('tray.in')
  return (
    <button
      type="button"
      className={styles.mark}
      data-in={isIn}
      title={verb}
      tabIndex={tabIndex}
      aria-label={t('tray.verbOf', { verb, title: words.title(item) })}
      onClick={() => tray.toggle(item)}
    >
      <OwnIcon name={isIn ? 'pickf' : 'pick'} />
    </button>
  )
}
