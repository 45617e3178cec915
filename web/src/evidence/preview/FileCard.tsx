// What cannot be shown: what it is, what stands in the way, and how to save it.
import Link from '@mui/material/Link'
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSize } from '../../ui/useSize.ts'
import { fileAddress, PreviewProblem, Thumbnail } from '../base/index.ts'
import styles from './Preview.module.css'

export function FileCard({ item, problem }: { readonly item: Evidence; readonly problem?: string }) {
  const { t } = useTranslation('evidence')
  const size = useSize()
  const { version } = item
  return (
    <div className={styles.card}>
      <Thumbnail item={item} />
      {version.preview === 'making' ? <p role="status">{t('preview.making')}</p> : null}
      {problem === undefined ? null : <p>{problem}</p>}
      <PreviewProblem version={version} />
      <p>
        <bdi>{version.fileName}</bdi>
        <br />
        {t('preview.typeAndSize', { type: version.mime, size: size(version.bytes) })}
      </p>
      <Link href={fileAddress(item.id, version.n)} download={version.fileName}>
        {t('versions.save')}
      </Link>
    </div>
  )
}
