// Cropping: the shape of the box, its exact size, lying or standing.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconArrowAutofitHeight } from '@tabler/icons-react'
import { cropShapes } from '@valise/core/pictures'
import type { CropStep, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../../ui/SelectField.tsx'
import type { ToolBarProps } from './ToolBar.ts'
import { useCropping } from './useCropping.ts'
import styles from './Bench.module.css'

export interface CropBarProps extends ToolBarProps {
  /** The size that is cropped. */
  readonly size: Size
}

export function CropBar({ recipe, size, onSave }: CropBarProps) {
  const { t } = useTranslation('bench')
  const { step, pixels, choose, turn, exact } = useCropping({ recipe, size, onSave })
  return (
    <>
      <SelectField
        label={t('crop.shape')}
        value={step.shape}
        choices={cropShapes.map((shape) => [shape, t(`crop.shapes.${shape}`)] as const)}
        onChange={(shape) => choose(shape as CropStep['shape'])}
      />
      {step.shape === 'exact' ? (
        (['width', 'height'] as const).map((side) => (
          <TextField
            key={`${side}-${Math.round(pixels[side])}`}
            className={styles.pixels ?? ''}
            size="small"
            type="number"
            label={t(`crop.${side}`)}
            defaultValue={Math.round(pixels[side])}
            onBlur={(event) => exact(side, Number(event.target.value))}
            onKeyDown={(event) => {
              if (event.key === 'Enter') exact(side, Number((event.target as HTMLInputElement).value)) // it is one
            }}
            slotProps={{ htmlInput: { min: 2, max: Math.round(size[side]) } }}
          />
        ))
      ) : step.shape === 'free' || step.shape === 'square' ? null : (
        <Button size="small" startIcon={<IconArrowAutofitHeight size={18} stroke={1.7} />} onClick={turn}>
          {t('crop.turnBox')}
        </Button>
      )}
      <span className={styles.quiet}>
        {t('crop.pixels', { width: Math.round(pixels.width), height: Math.round(pixels.height) })}
      </span>
    </>
  )
}
