// Squaring up: find the sheet again, its shape, and whether corners that are dragged jump to its edges.
import Button from '@mui/material/Button'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import { IconPerspective } from '@tabler/icons-react'
import { stepOf } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../../ui/SelectField.tsx'
import { withStep } from './recipeChanges.ts'
import type { ToolBarProps } from './ToolBar.ts'

interface SquareBarProps extends ToolBarProps {
  readonly isSnapping: boolean
  readonly onSnapping: (isOn: boolean) => void
  readonly onFind: () => void
}

const sheetShapes = {
  estimated: 'estimated',
  'a-tall': 1 / Math.SQRT2,
  'a-wide': Math.SQRT2,
  square: 1,
} as const
type SheetShape = keyof typeof sheetShapes

export function SquareBar({ recipe, onSave, isSnapping, onSnapping, onFind }: SquareBarProps) {
  const { t } = useTranslation('bench')
  const step = stepOf(recipe.steps, 'square')
  const shape = (Object.keys(sheetShapes) as SheetShape[]).find(
    (one) => sheetShapes[one] === step?.proportions,
  )
  return (
    <>
      <Button size="small" startIcon={<IconPerspective size={18} stroke={1.7} />} onClick={onFind}>
        {t('square.find')}
      </Button>
      <SelectField
        label={t('square.proportions')}
        value={shape ?? 'estimated'}
        choices={(Object.keys(sheetShapes) as SheetShape[]).map(
          (one) => [one, t(`square.shapes.${one}`)] as const,
        )}
        onChange={(one) =>
          step && onSave(withStep(recipe, { ...step, proportions: sheetShapes[one as SheetShape] }))
        }
      />
      <FormControlLabel
        control={<Switch size="small" checked={isSnapping} onChange={(_, on) => onSnapping(on)} />}
        label={t('square.snap')}
      />
    </>
  )
}
