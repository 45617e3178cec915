// Says before a page is full that it nearly is, and what to do.
import { documentSize, LONGEST_DOCUMENT } from '@valise/core/pages'
import type { PageDocument } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import styles from './PageEditor.module.css'

const SAID_FROM = 0.9

export function NearlyFull({ document }: { readonly document: PageDocument }) {
  const { t } = useTranslation('pages')
  const share = documentSize(document) / LONGEST_DOCUMENT
  if (share < SAID_FROM) return null
  return (
    <p role="status" className={styles.nearlyFull}>
      {t('nearlyFull', { percent: Math.min(100, Math.floor(share * 100)) })}
    </p>
  )
}
