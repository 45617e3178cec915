// Cropping: the shape of the box, its exact size, lying or standing.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconArrowAutofitHeight } from '@tabler/icons-react'
import { cropShapes, stepOf } from '@valise/core/pictures'
import type { CropStep, Size } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../../ui/SelectField.tsx'
import { fitShape } from './boxes.ts'
import { withStep } from './recipeChanges.ts'
import { plainCrop, ratioOf } from './steps.ts'
import type { ToolBarProps } from './ToolBar.ts'
import styles from './Bench.module.css'

interface CropBarProps extends ToolBarProps {
  /** The size that is cropped. */
  readonly size: Size
}

export function CropBar({ recipe, size, onSave }: CropBarProps) {
  const { t } = useTranslation('bench')
  const step = stepOf(recipe.steps, 'crop') ?? plainCrop
  const pixels = {
    x: step.box.x * size.width,
    y: step.box.y * size.height,
    width: step.box.width * size.width,
    height: step.box.height * size.height,
  }
  const put = (shape: CropStep['shape'], box: typeof pixels) =>
    onSave(
      withStep(recipe, {
        ...{ kind: 'crop', on: true, shape },
        box: {
          x: box.x / size.width,
          y: box.y / size.height,
          width: Math.min(1, box.width / size.width),
          height: Math.min(1, box.height / size.height),
        },
      }),
    )
  const choose = (shape: CropStep['shape']) => {
    const ratio = ratioOf({ ...step, shape }, size)
    put(shape, ratio === null ? pixels : fitShape(pixels, ratio))
  }
  const turn = () => {
    const ratio = pixels.height / pixels.width
    put(step.shape, fitShape({ x: 0, y: 0, ...size }, ratio))
  }
  const exact = (side: 'width' | 'height', value: number) => {
    const most = side === 'width' ? size.width - pixels.x : size.height - pixels.y
    if (value >= 2) put('exact', { ...pixels, [side]: Math.min(value, most) })
  }
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
