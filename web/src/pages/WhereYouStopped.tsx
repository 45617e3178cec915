// On Today: the pages one worked on last, to go on with.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { PageList } from './PageList.tsx'
import { pageQueries } from './queries.ts'
import styles from './PageList.module.css'

export function WhereYouStopped() {
  const { t } = useTranslation('today')
  const { data } = useQuery(pageQueries.newest())
  if (!data || data.items.length === 0) return null
  return (
    <section className={styles.stopped}>
      <h2>{t('stopped')}</h2>
      <PageList items={data.items} />
    </section>
  )
}
