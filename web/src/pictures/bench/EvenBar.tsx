// Evening out: how much of the uneven light goes, and which light is white and which black.
import { stepOf } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { HistogramPlot } from './HistogramPlot.tsx'
import { withStep } from './recipeChanges.ts'
import { SliderField } from './SliderField.tsx'
import { plainEven } from './steps.ts'
import { signed } from './ToolBar.ts'
import type { LightBarProps } from './ToolBar.ts'

export function EvenBar({ recipe, grey, onShow, onSave }: LightBarProps) {
  const { t } = useTranslation('bench')
  const step = stepOf(recipe.steps, 'even') ?? plainEven
  const isOwn = step.levels !== 'found'
  const levels = step.levels === 'found' ? { black: 20, white: 235, middle: 1 } : step.levels
  const withLevels = (change: Partial<typeof levels>) =>
    withStep(recipe, { ...step, on: true, levels: { ...levels, ...change } })
  const strongly = (strength: number) => withStep(recipe, { ...step, on: true, strength })
  return (
    <>
      <SliderField
        label={t('even.strength')}
        value={step.strength}
        min={0}
        max={100}
        onMove={(value) => onShow(strongly(value))}
        onDone={(value) => onSave(strongly(value))}
      />
      <ChoiceBar
        label={t('even.levels')}
        value={isOwn ? 'own' : 'found'}
        choices={[
          ['found', t('even.byItself')],
          ['own', t('even.byHand')],
        ]}
        onChange={(choice) =>
          onSave(withStep(recipe, { ...step, on: true, levels: choice === 'found' ? 'found' : levels }))
        }
      />
      {isOwn ? (
        <>
          <SliderField
            label={t('even.black')}
            value={levels.black}
            min={0}
            max={150}
            onMove={(black) => onShow(withLevels({ black }))}
            onDone={(black) => onSave(withLevels({ black }))}
          />
          <SliderField
            label={t('even.white')}
            value={levels.white}
            min={160}
            max={255}
            onMove={(white) => onShow(withLevels({ white }))}
            onDone={(white) => onSave(withLevels({ white }))}
          />
          <SliderField
            label={t('even.middle')}
            value={Math.round(Math.log2(levels.middle) * 50)}
            min={-100}
            max={100}
            format={signed}
            onMove={(value) => onShow(withLevels({ middle: 2 ** (value / 50) }))}
            onDone={(value) => onSave(withLevels({ middle: 2 ** (value / 50) }))}
          />
        </>
      ) : null}
      {grey ? <HistogramPlot grey={grey} /> : null}
    </>
  )
}
