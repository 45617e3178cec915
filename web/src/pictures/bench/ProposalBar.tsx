// The first proposal: what it would do, and one press to keep it.
import Button from '@mui/material/Button'
import { IconCheck } from '@tabler/icons-react'
import type { PictureRecipe } from '@valise/core/pictures'
import { useTranslation } from 'react-i18next'
import { regionsOf } from './recipeChanges.ts'
import styles from './Bench.module.css'

interface ProposalBarProps {
  readonly recipe: PictureRecipe
  readonly onSave: () => void
  readonly onLeave: () => void
}

export function ProposalBar({ recipe, onSave, onLeave }: ProposalBarProps) {
  const { t } = useTranslation('bench')
  const parts = regionsOf(recipe).length
  return (
    <section className={styles.proposal} aria-label={t('proposal.label')}>
      <p>
        <b>{t('proposal.found')}</b>{' '}
        {parts > 0 ? t('proposal.concealing', { count: parts }) : t('proposal.nobody')}
      </p>
      <Button size="small" onClick={onLeave}>
        {t('proposal.leave')}
      </Button>
      <Button
        size="small"
        variant="contained"
        color="primary"
        startIcon={<IconCheck size={18} stroke={2} />}
        onClick={onSave}
      >
        {t('proposal.keep')}
      </Button>
    </section>
  )
}
