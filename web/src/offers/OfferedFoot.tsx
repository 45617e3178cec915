// The foot of what is written for others: undo, and the bin.
import Button from '@mui/material/Button'
import { IconArrowBackUp } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { PutInBin } from '../bin/index.ts'
import styles from './Offers.module.css'

interface OfferedFootProps {
  readonly canUndo: boolean
  readonly onUndo: () => void
  /** Which thing goes into the bin, and where one goes then; null for one of somebody else. */
  readonly bin: Parameters<typeof PutInBin>[0] | null
}

export function OfferedFoot({ canUndo, onUndo, bin }: OfferedFootProps) {
  const { t } = useTranslation('offers')
  return (
    <div className={styles.foot}>
      <Button
        variant="text"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!canUndo}
        onClick={onUndo}
      >
        {t('foot.undo')}
      </Button>
      {bin ? <PutInBin {...bin} /> : null}
    </div>
  )
}
