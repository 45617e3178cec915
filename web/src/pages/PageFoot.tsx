// The quiet acts of a page: taking back the last change, and the bin.
import Button from '@mui/material/Button'
import { IconArrowBackUp, IconTrash } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useBinPage } from './queries.ts'
import { usePage } from './usePageEditor.ts'
import styles from './AddPiece.module.css'

export function PageFoot() {
  const { t } = useTranslation('pages')
  const { page, draft } = usePage()
  const navigate = useNavigate()
  const bin = useBinPage()
  const onBin = () => bin.mutate({ id: page.id, act: 'in' }, { onSuccess: () => void navigate('/pages') })
  return (
    <div className={styles.foot}>
      <Button
        variant="text"
        startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
        disabled={!draft.canUndo}
        onClick={() => draft.sync.undo()}
      >
        {t('foot.undo')}
      </Button>
      <Button variant="text" startIcon={<IconTrash size={18} stroke={1.7} />} onClick={onBin}>
        {t('foot.bin')}
      </Button>
      <Refusal error={bin.error} />
    </div>
  )
}
