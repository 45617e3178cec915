// Four buttons that move the chosen handle, and where it stands: the way without dragging.
import IconButton from '@mui/material/IconButton'
import { IconArrowDown, IconArrowLeft, IconArrowRight, IconArrowUp } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { useHeldHandle } from './heldHandle.ts'
import styles from './Bench.module.css'

const ways = [
  { direction: 'left', by: { x: -0.01, y: 0 }, DirectionIcon: IconArrowLeft },
  { direction: 'right', by: { x: 0.01, y: 0 }, DirectionIcon: IconArrowRight },
  { direction: 'up', by: { x: 0, y: -0.01 }, DirectionIcon: IconArrowUp },
  { direction: 'down', by: { x: 0, y: 0.01 }, DirectionIcon: IconArrowDown },
] as const

export function MovePad() {
  const { t } = useTranslation('bench')
  const held = useHeldHandle()
  if (!held) return null
  const { label } = held
  const where = { x: Math.round(held.at.x * 100), y: Math.round(held.at.y * 100) }
  return (
    <div className={styles.pad} role="group" aria-label={t('move.label', { label })}>
      {ways.map(({ direction, by, DirectionIcon }) => (
        <IconButton
          key={direction}
          size="small"
          aria-label={t(`move.${direction}`)}
          onClick={() => held.moveBy(by)}
        >
          <DirectionIcon size={18} stroke={1.7} />
        </IconButton>
      ))}
      <span role="status">{t('move.where', { label, ...where })}</span>
    </div>
  )
}
