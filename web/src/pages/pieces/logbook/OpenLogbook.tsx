// The way from a page to the logbook that it shows.
import { IconArrowUpRight } from '@tabler/icons-react'
import type { PieceOf } from '@valise/core/pages'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import styles from '../../PieceBar.module.css'

export function OpenLogbook({ piece }: { readonly piece: PieceOf<'logbook'> }) {
  const { t } = useTranslation('pages')
  return (
    <Link className={styles.button ?? ''} to={screenOf('logbook', piece.logbookId)}>
      <IconArrowUpRight size={15} stroke={1.7} aria-hidden="true" />
      {t('logbook.open')}
    </Link>
  )
}
