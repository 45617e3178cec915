// One thing in the grid: its picture, what it is called, its tick, the case mark, and what it lacks.
import { IconLicense } from '@tabler/icons-react'
import type { EvidenceRow } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { OwnIcon } from '../ui/OwnIcon.tsx'
import { PickMark } from './PickMark.tsx'
import { Thumbnail } from './Thumbnail.tsx'
import { TickMark } from './TickMark.tsx'
import type { Choosing } from './useChoosing.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './EvidenceTile.module.css'

interface EvidenceTileProps {
  readonly item: EvidenceRow
  readonly width: number
  readonly height: number
  readonly isOpen: boolean
  /** Whether Tab comes here; arrows go to all the others. */
  readonly isCurrent: boolean
  readonly choosing: Choosing
  readonly onOpen: () => void
  readonly onFocus: () => void
}

export function EvidenceTile(props: EvidenceTileProps) {
  const { item, width, height, isOpen, isCurrent, choosing, onOpen, onFocus } = props
  const words = useEvidenceWords()
  const title = words.title(item)
  const tabIndex = isCurrent ? 0 : -1
  return (
    <li
      className={styles.tile}
      style={{ width }}
      data-open={isOpen}
      data-chosen={choosing.has(item.id)}
      onFocus={onFocus}
    >
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
        <Lacks item={item} top={height - 28} />
      </button>
      <TickMark item={item} choosing={choosing} tabIndex={tabIndex} />
      <PickMark item={item} tabIndex={tabIndex} />
    </li>
  )
}

/** The one lack that matters most: without rights nothing can be shown. */
function Lacks({ item, top }: { readonly item: EvidenceRow; readonly top: number }) {
  const { t } = useTranslation('evidence')
  const isSilent = item.kind === 'picture' && item.alternativeText === ''
  if (item.rightsState !== 'missing' && !isSilent) return null
  return (
    <span className={styles.lacks} style={{ top }}>
      {item.rightsState === 'missing' ? (
        <>
          <IconLicense size={15} stroke={1.7} aria-hidden="true" />
          {t('rights.missing')}
        </>
      ) : (
        <>
          <OwnIcon name="noalt" size={15} />
          {t('noAlternative')}
        </>
      )}
    </span>
  )
}
