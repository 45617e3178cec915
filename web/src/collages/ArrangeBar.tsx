// What is done with all that is chosen: aligned, distributed, ordered, duplicated, grouped, locked, taken off.
import IconButton from '@mui/material/IconButton'
import Tooltip from '@mui/material/Tooltip'
import {
  IconArrowBarToDown,
  IconArrowBarToUp,
  IconArrowDown,
  IconArrowUp,
  IconCopyPlus,
  IconLayoutAlignBottom,
  IconLayoutAlignCenter,
  IconLayoutAlignLeft,
  IconLayoutAlignMiddle,
  IconLayoutAlignRight,
  IconLayoutAlignTop,
  IconLayoutDistributeHorizontal,
  IconLayoutDistributeVertical,
  IconLink,
  IconLock,
  IconLockOpen,
  IconTrash,
  IconUnlink,
} from '@tabler/icons-react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

const edges = [
  ['left', IconLayoutAlignLeft],
  ['middle', IconLayoutAlignCenter],
  ['right', IconLayoutAlignRight],
  ['top', IconLayoutAlignTop],
  ['centre', IconLayoutAlignMiddle],
  ['bottom', IconLayoutAlignBottom],
] as const
const orders = [
  ['nearest', IconArrowBarToUp],
  ['nearer', IconArrowUp],
  ['further', IconArrowDown],
  ['furthest', IconArrowBarToDown],
] as const

export function ArrangeBar({ arranging }: { readonly arranging: Arranging }) {
  const { t } = useTranslation('collage')
  const { chosen } = arranging
  const isLocked = chosen.every((layer) => layer.isLocked)
  const groups = new Set(chosen.map(({ group }) => group))
  const isOneGroup = chosen.length > 1 && groups.size === 1 && !groups.has(null)
  const LockIcon = isLocked ? IconLockOpen : IconLock
  return (
    <div className={styles.acts}>
      <div role="group" aria-label={t('act.align')}>
        {edges.map(([edge, EdgeIcon]) => (
          <Act key={edge} words={t(`act.edges.${edge}`)} isOff={isLocked} onAct={() => arranging.align(edge)}>
            <EdgeIcon size={19} stroke={1.6} />
          </Act>
        ))}
        <Act words={t('act.across')} isOff={chosen.length < 3} onAct={() => arranging.distribute('across')}>
          <IconLayoutDistributeVertical size={19} stroke={1.6} />
        </Act>
        <Act words={t('act.down')} isOff={chosen.length < 3} onAct={() => arranging.distribute('down')}>
          <IconLayoutDistributeHorizontal size={19} stroke={1.6} />
        </Act>
      </div>
      <div role="group" aria-label={t('act.order')}>
        {orders.map(([where, OrderIcon]) => (
          <Act key={where} words={t(`act.orders.${where}`)} onAct={() => arranging.order(where)}>
            <OrderIcon size={19} stroke={1.6} />
          </Act>
        ))}
        <Act words={t('act.duplicate')} onAct={arranging.duplicate}>
          <IconCopyPlus size={19} stroke={1.6} />
        </Act>
        {isOneGroup ? (
          <Act words={t('act.ungroup')} onAct={arranging.ungroup}>
            <IconUnlink size={19} stroke={1.6} />
          </Act>
        ) : (
          <Act words={t('act.group')} isOff={chosen.length < 2} onAct={arranging.group}>
            <IconLink size={19} stroke={1.6} />
          </Act>
        )}
        <Act words={t(isLocked ? 'act.unlock' : 'act.lock')} onAct={() => arranging.lock(!isLocked)}>
          <LockIcon size={19} stroke={1.6} />
        </Act>
        <Act words={t('act.drop')} isOff={isLocked} onAct={arranging.drop}>
          <IconTrash size={19} stroke={1.6} />
        </Act>
      </div>
    </div>
  )
}

interface ActProps {
  readonly words: string
  readonly isOff?: boolean
  readonly onAct: () => void
  readonly children: ReactNode
}

function Act({ words, isOff = false, onAct, children }: ActProps) {
  return (
    <Tooltip title={words} describeChild={false}>
      <span>
        <IconButton size="small" aria-label={words} disabled={isOff} onClick={onAct}>
          {children}
        </IconButton>
      </span>
    </Tooltip>
  )
}
