// Turning: quarters, finely, mirrored, or along a line that ought to be level.
import Button from '@mui/material/Button'
import { IconFlipVertical, IconLineDashed, IconRotate2, IconRotateClockwise } from '@tabler/icons-react'
import { stepOf } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { withStep } from './recipeChanges.ts'
import { SliderField } from './SliderField.tsx'
import { plainTurn, turnedBy } from './steps.ts'
import type { ToolBarProps } from './ToolBar.ts'

const degrees = (value: number) => `${value.toLocaleString(undefined, { maximumFractionDigits: 1 })}°`

interface TurnBarProps extends ToolBarProps {
  readonly hasHorizon: boolean
  readonly onHorizon: (isOn: boolean) => void
}

export function TurnBar({ recipe, onShow, onSave, hasHorizon, onHorizon }: TurnBarProps) {
  const { t } = useTranslation('bench')
  const step = stepOf(recipe.steps, 'turn') ?? plainTurn
  const finely = (value: number) => withStep(recipe, { ...step, on: true, degrees: value })
  return (
    <>
      <Button
        size="small"
        startIcon={<IconRotate2 size={18} stroke={1.7} />}
        onClick={() => onSave(withStep(recipe, turnedBy(recipe, -1)))}
      >
        {t('turn.quarterLeft')}
      </Button>
      <Button
        size="small"
        startIcon={<IconRotateClockwise size={18} stroke={1.7} />}
        onClick={() => onSave(withStep(recipe, turnedBy(recipe, 1)))}
      >
        {t('turn.quarterRight')}
      </Button>
      <Button
        size="small"
        startIcon={<IconFlipVertical size={18} stroke={1.7} />}
        aria-pressed={step.mirrored}
        onClick={() => onSave(withStep(recipe, { ...step, on: true, mirrored: !step.mirrored }))}
      >
        {t('turn.mirror')}
      </Button>
      <SliderField
        label={t('turn.fine')}
        value={step.degrees}
        min={-45}
        max={45}
        step={0.1}
        format={degrees}
        onMove={(value) => onShow(finely(value))}
        onDone={(value) => onSave(finely(value))}
      />
      <Button
        size="small"
        startIcon={<IconLineDashed size={18} stroke={1.7} />}
        aria-pressed={hasHorizon}
        onClick={() => onHorizon(!hasHorizon)}
      >
        {t('turn.horizon')}
      </Button>
    </>
  )
}
