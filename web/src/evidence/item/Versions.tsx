// The files that an item has been, newest first: each can be saved, an earlier one made the newest again.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSize } from '../../ui/useSize.ts'
import { useWhen } from '../../ui/useWhen.ts'
import { fileAddress, useRestoreVersion } from '../base/index.ts'
import styles from './Fields.module.css'

export function Versions({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const size = useSize()
  const restore = useRestoreVersion(item.id)
  const { id, versions, revision, version: newest } = item
  return (
    <>
      <ul className={styles.versions}>
        {versions.map(({ n, fileName, bytes, at }) => (
          <li key={n}>
            <Link href={fileAddress(id, n)} download={fileName} title={t('versions.save')}>
              <bdi>{fileName}</bdi>
            </Link>
            <small>
              {versions.length > 1
                ? t('versions.one', { n, size: size(bytes), at: when.dayTime(at) })
                : size(bytes)}
            </small>
            {n === newest.n || item.binnedAt !== null ? null : (
              <Button
                size="small"
                variant="text"
                loading={restore.isPending && restore.variables.n === n}
                onClick={() => restore.mutate({ n, revision })}
              >
                {t('versions.again', { n })}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Refusal error={restore.error} />
    </>
  )
}
