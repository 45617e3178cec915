// The quiet acts of a page: taking back the last change, and the bin.
import Button from '@mui/material/Button'
import { IconArrowBackUp, IconTrash } from '@tabler/icons-react'
import { memo } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import type { DraftSync } from '../drafts/DraftSync.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useBinPage } from './queries.ts'
import styles from './AddPiece.module.css'

interface PageFootProps {
  readonly id: string
  readonly canUndo: boolean
  readonly sync: DraftSync
}

export const PageFoot = memo(function PageFoot({ id, canUndo, sync }: PageFootProps) {
  const { t } = useTranslation('pages')
  const navigate = useNavigate()
  const bin = useBinPage()
  const onBin = () => bin.mutate({ id, act: 'in' }, { onSuccess: () => void navigate('/pages') })
  return (
    <div className={styles.foot}>
      <Button
        variant="text"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!canUndo}
        onClick={() => sync.undo()}
      >
        {t('foot.undo')}
      </Button>
      <Button variant="text" startIcon={<IconTrash size={18} stroke={1.7} />} onClick={onBin}>
        {t('foot.bin')}
      </Button>
      <Refusal error={bin.error} />
    </div>
  )
})
