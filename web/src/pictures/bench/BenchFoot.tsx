// The foot of a bench: the note that everything is saved, and the way back.
import Button from '@mui/material/Button'
import { useTranslation } from 'react-i18next'
import { useLocation, useNavigate } from 'react-router'
import styles from './Bench.module.css'

interface BenchFootProps {
  /** The item that is worked on. */
  readonly id: string
  readonly note: string
}

export function BenchFoot({ id, note }: BenchFootProps) {
  const { t } = useTranslation('bench')
  const navigate = useNavigate()
  // The first place that was opened here has nothing of ours before it.
  const isFirst = useLocation().key === 'default'
  const back = () => (isFirst ? navigate(`/evidence/${id}`) : navigate(-1))
  return (
    <div className={styles.foot}>
      <small>{note}</small>
      <Button variant="contained" color="primary" onClick={() => void back()}>
        {t('back')}
      </Button>
    </div>
  )
}
