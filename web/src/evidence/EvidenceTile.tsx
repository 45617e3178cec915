// One thing in the grid: its picture, what it is called, the case mark, and what it lacks.
import { IconLicense } from '@tabler/icons-react'
import type { EvidenceRow } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { PickMark } from './PickMark.tsx'
import { Thumbnail } from './Thumbnail.tsx'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './EvidenceTile.module.css'

interface EvidenceTileProps {
  readonly item: EvidenceRow
  readonly width: number
  readonly height: number
  readonly isOpen: boolean
  /** Whether Tab comes here; arrows go to all the others. */
  readonly isCurrent: boolean
  readonly onOpen: () => void
  readonly onFocus: () => void
}

export function EvidenceTile({ item, width, height, isOpen, isCurrent, onOpen, onFocus }: EvidenceTileProps) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const title = words.title(item)
  const tabIndex = isCurrent ? 0 : -1
  return (
    <li className={styles.tile} style={{ width }} data-open={isOpen} onFocus={onFocus}>
      <button
        type="button"
        className={styles.open}
        data-tile={item.id}
        aria-expanded={isOpen}
        tabIndex={tabIndex}
        onClick={onOpen}
      >
        <span className={styles.picture} style={{ height }}>
          <Thumbnail item={item} />
        </span>
        <b className={item.title ? '' : styles.untitled}>{title}</b>
        <small>{words.line(item)}</small>
        {/* Heard after the title, seen on the picture. */}
        {item.rightsState === 'missing' ? (
          <span className={styles.lacks} style={{ top: height - 28 }}>
            <IconLicense size={15} stroke={1.7} aria-hidden="true" />
            {t('rights.missing')}
          </span>
        ) : null}
      </button>
      <PickMark item={item} tabIndex={tabIndex} />
    </li>
  )
}
