// One thing in the grid: its picture, what it is called, its tick, the case mark, and what it lacks.
import { IconLicense } from '@tabler/icons-react'
import { isShownAsPicture } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { memo } from 'react'
import { OwnIcon } from '../../ui/OwnIcon.tsx'
import { Thumbnail } from '../base/index.ts'
import { PickMark } from './PickMark.tsx'
import { TickMark } from './TickMark.tsx'
import type { Choosing } from './useChoosing.ts'
import type { Marks } from './useMarks.ts'
import styles from './EvidenceTile.module.css'

interface EvidenceTileProps {
  readonly item: EvidenceRow
  readonly width: number
  readonly height: number
  readonly isOpen: boolean
  /** Whether Tab comes here; arrows go to all the others. */
  readonly isCurrent: boolean
  readonly choosing: Choosing
  readonly marks: Marks
  readonly onOpen: (id: string) => void
  readonly onFocus: (id: string) => void
}

/** Rendered again when something about it changes, not for each scroll step. */
export const EvidenceTile = memo(function EvidenceTile(props: EvidenceTileProps) {
  const { item, width, height, isOpen, isCurrent, choosing, marks, onOpen, onFocus } = props
  const { words } = marks
  const title = words.title(item)
  const tabIndex = isCurrent ? 0 : -1
  return (
    <li
      className={styles.tile}
      style={{ width }}
      data-open={isOpen}
      data-chosen={choosing.has(item.id)}
      onFocus={() => onFocus(item.id)}
    >
      <button
        type="button"
        className={styles.open}
        data-tile={item.id}
        aria-expanded={isOpen}
        tabIndex={tabIndex}
        onClick={() => onOpen(item.id)}
      >
        <span className={styles.picture} style={{ height }}>
          <Thumbnail item={item} />
        </span>
        <b className={item.title ? '' : styles.untitled}>{title}</b>
        <small>{words.line(item)}</small>
        {/* Heard after the title, seen on the picture. */}
        <Lacks item={item} t={marks.t} top={height - 28} />
      </button>
      <TickMark item={item} choosing={choosing} marks={marks} tabIndex={tabIndex} />
      <PickMark item={item} marks={marks} tabIndex={tabIndex} />
    </li>
  )
})

interface LacksProps {
  readonly item: EvidenceRow
  readonly t: Marks['t']
  readonly top: number
}

/** The one lack that matters most: without rights nothing can be shown. */
function Lacks({ item, t, top }: LacksProps) {
  const isSilent = isShownAsPicture(item.kind) && item.alternativeText === ''
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
