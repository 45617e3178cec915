// Uploads in progress, shown on every screen that does not list them, with a link to the list.
import { IconUpload } from '@tabler/icons-react'
import { useTranslation } from 'react-i18next'
import { Link, useLocation } from 'react-router'
import { isUploading, listsUploads, uploadsHere } from '../evidence/upload/index.ts'
import styles from './TopBar.module.css'

export function ComingIn() {
  const { t } = useTranslation()
  const { pathname } = useLocation()
  const count = uploadsHere.use().filter(isUploading).length
  if (count === 0 || listsUploads(pathname)) return null
  return (
    <Link to="/evidence" className={styles.coming}>
      <IconUpload size={17} stroke={1.7} aria-hidden="true" />
      <span className={styles.comingWords}>{t('coming', { count })}</span>
      <b aria-hidden="true">{count}</b>
    </Link>
  )
}
