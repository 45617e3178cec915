// Brightness, contrast, warmth and sharpness.
import { stepOf } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { HistogramPlot } from './HistogramPlot.tsx'
import { withStep } from './recipeChanges.ts'
import { SliderField } from './SliderField.tsx'
import { plainLight } from './steps.ts'
import { signed } from './ToolBar.ts'
import type { LightBarProps } from './ToolBar.ts'

export function LightBar({ recipe, grey, onShow, onSave }: LightBarProps) {
  const { t } = useTranslation('bench')
  const step = stepOf(recipe.steps, 'light') ?? plainLight
  return (
    <>
      {(['brightness', 'contrast', 'warmth', 'sharpness'] as const).map((what) => {
        const set = (value: number) => withStep(recipe, { ...step, on: true, [what]: value })
        return (
          <SliderField
            key={what}
            label={t(`light.${what}`)}
            value={step[what]}
            min={what === 'sharpness' ? 0 : -100}
            max={100}
            format={what === 'sharpness' ? String : signed}
            onMove={(value) => onShow(set(value))}
            onDone={(value) => onSave(set(value))}
          />
        )
      })}
      {grey ? <HistogramPlot grey={grey} /> : null}
    </>
  )
}
