// Items to choose from, each pressed as a whole; where several can be chosen, with a tick on those that are.
import { IconCheck } from '@tabler/icons-react'
import type { EvidenceRow } from '@valise/core/evidence'
import { Thumbnail, useEvidenceWords } from '../base/index.ts'
import styles from './EvidenceChooser.module.css'

interface PickGridProps {
  readonly items: readonly EvidenceRow[]
  /** Those that are chosen; without it one press is the choice. */
  readonly ticked?: readonly EvidenceRow[]
  /** What stands under the title; without it what the item is. */
  readonly lineOf?: (item: EvidenceRow) => string
  readonly onPress: (item: EvidenceRow) => void
}

export function PickGrid({ items, ticked, lineOf, onPress }: PickGridProps) {
  const words = useEvidenceWords()
  const isTicked = (item: EvidenceRow) => ticked?.some(({ id }) => id === item.id) === true
  return (
    <ul className={styles.grid}>
      {items.map((item) => (
        <li key={item.id}>
          <button
            type="button"
            {...(ticked && { 'aria-pressed': isTicked(item) })}
            onClick={() => onPress(item)}
          >
            <span className={styles.picture}>
              <Thumbnail item={item} />
              {isTicked(item) ? (
                <span className={styles.tick}>
                  <IconCheck size={18} stroke={2.4} aria-hidden />
                </span>
              ) : null}
            </span>
            <b>{words.title(item)}</b>
            <small>{(lineOf ?? words.line)(item)}</small>
          </button>
        </li>
      ))}
    </ul>
  )
}
