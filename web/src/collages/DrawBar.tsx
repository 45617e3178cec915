// With what is drawn: colour and width of the pen, or the rubber.
import { collageColours } from '@valise/core/pictures'
import type { CollageColour } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { SliderField } from '../pictures/bench/index.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { ColourField } from './ColourField.tsx'
import styles from './Collage.module.css'

export interface Pen {
  readonly colour: CollageColour
  /** In units of the board. */
  readonly width: number
  readonly isEraser: boolean
}

export const firstPen: Pen = { colour: 'ink', width: 8, isEraser: false }

export function DrawBar({ pen, onPen }: { readonly pen: Pen; readonly onPen: (pen: Pen) => void }) {
  const { t } = useTranslation('collage')
  return (
    <div className={styles.section}>
      <ChoiceBar
        label={t('draw.with')}
        value={pen.isEraser ? 'rubber' : 'pen'}
        choices={[
          ['pen', t('draw.pen')],
          ['rubber', t('draw.rubber')],
        ]}
        onChange={(what) => onPen({ ...pen, isEraser: what === 'rubber' })}
      />
      {pen.isEraser ? null : (
        <ColourField
          label={t('fields.colour')}
          value={pen.colour}
          choices={collageColours}
          onChange={(colour) => onPen({ ...pen, colour })}
        />
      )}
      <SliderField
        label={t('fields.width')}
        value={pen.width}
        min={2}
        max={60}
        onMove={(width) => onPen({ ...pen, width })}
        onDone={(width) => onPen({ ...pen, width })}
      />
      {pen.isEraser ? <p className={styles.quiet}>{t('draw.rubs')}</p> : null}
      <p className={styles.quiet}>{t('draw.keys')}</p>
    </div>
  )
}
