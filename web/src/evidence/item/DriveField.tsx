// How an item stands to its document on the shared drive: followed, let go, or shut away.
import Button from '@mui/material/Button'
import type { DriveState } from '@valise/core/evidence'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { useLetGo, useCheckAgain } from '../base/index.ts'
import styles from './Fields.module.css'

export function DriveField({ id, drive }: { readonly id: string; readonly drive: DriveState }) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const check = useCheckAgain(id)
  const letGo = useLetGo(id)
  const { isConnected, changedAt, lostAt } = drive
  const { mutate } = check
  // Whoever opens a connected document wants to see it as it is now.
  useEffect(() => {
    if (isConnected) mutate('drive')
  }, [isConnected, mutate])
  if (!isConnected) return <>{t('drive.copied')}</>
  return (
    <div className={styles.rights}>
      <p role="status" data-state={lostAt === null ? 'there' : 'missing'}>
        {lostAt === null
          ? changedAt === null
            ? t('drive.connected')
            : t('drive.changed', { at: when.dayTime(changedAt) })
          : t('drive.lost', { at: when.dayTime(lostAt) })}
      </p>
      <Refusal error={check.error ?? letGo.error} />
      <div className={styles.verbs}>
        <Button size="small" loading={check.isPending} onClick={() => check.mutate('drive')}>
          {t('drive.check')}
        </Button>
        <Button size="small" variant="text" loading={letGo.isPending} onClick={() => letGo.mutate()}>
          {t('drive.letGo')}
        </Button>
      </div>
    </div>
  )
}
