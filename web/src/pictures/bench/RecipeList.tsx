// The recipe: what was done, in its order; each step can be gone back to, switched off, or taken out.
import IconButton from '@mui/material/IconButton'
import Switch from '@mui/material/Switch'
import { IconX } from '@tabler/icons-react'
import type { PictureRecipe } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { withoutStep, withSwitch } from './recipeChanges.ts'
import { iconOf, stepOfTool, toolOf } from './tools.ts'
import type { ToolKind } from './tools.ts'
import { useStepWords } from './useStepWords.ts'
import styles from './Bench.module.css'

interface RecipeListProps {
  readonly recipe: PictureRecipe
  readonly chosen: ToolKind | null
  readonly onChoose: (kind: ToolKind) => void
  readonly onChange: (recipe: PictureRecipe) => void
}

export function RecipeList({ recipe, chosen, onChoose, onChange }: RecipeListProps) {
  const { t } = useTranslation('bench')
  const words = useStepWords()
  if (recipe.steps.length === 0) return <p className={styles.quiet}>{t('recipe.empty')}</p>
  return (
    <ol className={styles.recipe}>
      {recipe.steps.map((step, n) => {
        const StepIcon = iconOf(step.kind)
        const name = words.name(step.kind)
        return (
          <li key={step.kind} data-on={chosen !== null && stepOfTool(chosen) === step.kind}>
            <span className={styles.number} aria-hidden>
              {n + 1}
            </span>
            <StepIcon size={18} stroke={1.7} aria-hidden />
            <button type="button" className={styles.step} onClick={() => onChoose(toolOf(step.kind))}>
              <b>{name}</b>
              <small>{words.line(step)}</small>
            </button>
            <Switch
              size="small"
              checked={step.on}
              onChange={(_, on) => onChange(withSwitch(recipe, step.kind, on))}
              slotProps={{ input: { 'aria-label': t('recipe.switch', { name }) } }}
            />
            <IconButton
              size="small"
              aria-label={t('recipe.drop', { name })}
              onClick={() => onChange(withoutStep(recipe, step.kind))}
            >
              <IconX size={16} stroke={1.7} />
            </IconButton>
            {step.kind === 'conceal' && step.on ? <p>{t('conceal.gone')}</p> : null}
          </li>
        )
      })}
    </ol>
  )
}
