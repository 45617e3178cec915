// The item itself, as well as a browser can show it.
import type { Evidence } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { fileAddress, renditionAddress } from './queries.ts'
import { Thumbnail } from './Thumbnail.tsx'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './Preview.module.css'

export function Preview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const { version, kind, id } = item
  const source = fileAddress(id, version.n)
  // What is looked at again must be named by its version, or the old film would go on.
  if (kind === 'video')
    return <video key={source} className={styles.shown} src={source} controls preload="metadata" />
  if (kind === 'audio') {
    return (
      <div className={styles.sound}>
        <Thumbnail item={item} />
        <audio key={source} src={source} controls preload="metadata" aria-label={words.title(item)} />
      </div>
    )
  }
  if (version.preview === 'there') {
    const address = renditionAddress(item, 'screen')
    return (
      <a className={styles.shown} href={address} target="_blank" rel="noopener">
        <img src={address} alt={t('drawer.large', { title: words.title(item) })} />
      </a>
    )
  }
  return (
    <div className={styles.card}>
      <Thumbnail item={item} />
      {version.preview === 'making' ? <p role="status">{t('preview.making')}</p> : null}
      {version.previewProblem === null ? null : (
        <p>{t(`preview.${version.previewProblem}`, { width: version.width, height: version.height })}</p>
      )}
    </div>
  )
}
