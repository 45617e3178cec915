// Grid, time line or table: three ways to look at what the query finds.
import { IconLayoutGrid, IconTable, IconTimeline } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../../ui/ChoiceBar.tsx'
import { evidenceViews } from './useEvidenceQuery.ts'
import type { EvidenceView } from './useEvidenceQuery.ts'
import styles from './ViewSwitch.module.css'

const icons = { grid: IconLayoutGrid, time: IconTimeline, table: IconTable } as const

interface ViewSwitchProps {
  readonly view: EvidenceView
  readonly onChange: (view: EvidenceView) => void
}

export function ViewSwitch({ view, onChange }: ViewSwitchProps) {
  const { t } = useTranslation('evidence')
  const choice = (one: EvidenceView) => {
    const Icon = icons[one]
    return [
      one,
      <span key={one} className={styles.choice}>
        <Icon size={17} stroke={1.7} aria-hidden="true" />
        {t(`views.${one}`)}
      </span>,
    ] as const
  }
  return (
    <ChoiceBar
      label={t('views.label')}
      value={view}
      choices={evidenceViews.map(choice)}
      onChange={onChange}
    />
  )
}
