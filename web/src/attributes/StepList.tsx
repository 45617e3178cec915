// The steps of a scale, the lowest first: named, added, removed and put into order.
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import { IconArrowDown, IconArrowUp, IconPlus, IconX } from '@tabler/icons-react'
import type { AttributeSetContent } from '@valise/core/attributes'
import { LEAST_STEPS } from '@valise/core/attributes'
import { LONGEST_OPTION, MOST_SCALE_STEPS } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { LocalizedField, newId, partActs } from '../offers/index.ts'
import styles from './Attributes.module.css'

interface StepListProps {
  readonly steps: AttributeSetContent['steps']
  readonly languages: readonly ('en' | 'es')[]
  readonly onChange: (steps: AttributeSetContent['steps']) => void
}

export function StepList({ steps, languages, onChange }: StepListProps) {
  const { t } = useTranslation('attributes')
  const acts = partActs(steps, onChange)
  return (
    <fieldset className={styles.stepList}>
      <legend>{t('build.steps')}</legend>
      <p>{t('build.stepsHint', { least: LEAST_STEPS, most: MOST_SCALE_STEPS })}</p>
      <ol>
        {steps.map((step, n) => (
          <li key={step.id}>
            <LocalizedField
              label={t('build.step', { n: n + 1 })}
              most={LONGEST_OPTION}
              languages={languages}
              value={step.label}
              onChange={(label) => acts.change({ ...step, label })}
            />
            <IconButton
              aria-label={t('build.stepUp', { n: n + 1 })}
              disabled={n === 0}
              onClick={() => acts.move(step.id, n - 1)}
            >
              <IconArrowUp size={17} stroke={1.7} />
            </IconButton>
            <IconButton
              aria-label={t('build.stepDown', { n: n + 1 })}
              disabled={n === steps.length - 1}
              onClick={() => acts.move(step.id, n + 1)}
            >
              <IconArrowDown size={17} stroke={1.7} />
            </IconButton>
            <IconButton aria-label={t('build.stepRemove', { n: n + 1 })} onClick={() => acts.remove(step.id)}>
              <IconX size={16} stroke={1.8} />
            </IconButton>
          </li>
        ))}
      </ol>
      {steps.length < MOST_SCALE_STEPS ? (
        <Button
          variant="text"
          startIcon={<IconPlus size={16} stroke={1.7} />}
          onClick={() => acts.add({ id: newId(), label: {} })}
        >
          {t('build.addStep')}
        </Button>
      ) : null}
    </fieldset>
  )
}
