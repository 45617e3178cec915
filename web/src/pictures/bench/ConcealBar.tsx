// Concealing: with what, drawn how, found by itself, dropped.
import Button from '@mui/material/Button'
import { IconBrush, IconPlus, IconRectangle, IconTextScan2, IconTrash } from '@tabler/icons-react'
import { concealFills } from '@valise/core/pictures'
import type { ConcealFill } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import type { Drawing } from './ConcealOverlay.tsx'
import styles from './Bench.module.css'

interface ConcealBarProps {
  readonly fill: ConcealFill
  readonly drawing: Drawing
  readonly hasChosen: boolean
  readonly isPreviewing: boolean
  readonly onFill: (fill: ConcealFill) => void
  readonly onDrawing: (drawing: Drawing) => void
  readonly onFindNames: () => void
  readonly onAdd: () => void
  readonly onDrop: () => void
}

export function ConcealBar(props: ConcealBarProps) {
  const { fill, drawing, hasChosen, isPreviewing, onFill, onDrawing, onFindNames, onAdd, onDrop } = props
  const { t } = useTranslation('bench')
  return (
    <>
      <ChoiceBar
        label={t('conceal.fill')}
        value={fill}
        choices={concealFills.map((one) => [one, t(`conceal.fills.${one}`)] as const)}
        onChange={onFill}
      />
      <ChoiceBar
        label={t('conceal.drawing')}
        value={drawing}
        choices={[
          [
            'box',
            <span key="box" className={styles.withIcon}>
              <IconRectangle size={16} stroke={1.7} aria-hidden /> {t('conceal.box')}
            </span>,
          ],
          [
            'brush',
            <span key="brush" className={styles.withIcon}>
              <IconBrush size={16} stroke={1.7} aria-hidden /> {t('conceal.brush')}
            </span>,
          ],
        ]}
        onChange={onDrawing}
      />
      <Button size="small" startIcon={<IconPlus size={18} stroke={1.7} />} onClick={onAdd}>
        {t('conceal.add')}
      </Button>
      <Button
        size="small"
        startIcon={<IconTextScan2 size={18} stroke={1.7} />}
        loading={isPreviewing}
        loadingPosition="start"
        onClick={onFindNames}
      >
        {t('conceal.find')}
      </Button>
      <Button
        size="small"
        startIcon={<IconTrash size={18} stroke={1.7} />}
        disabled={!hasChosen}
        onClick={onDrop}
      >
        {t('conceal.drop')}
      </Button>
    </>
  )
}
