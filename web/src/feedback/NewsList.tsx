// News as dated sentences, newest first.
import type { NewsItem } from '@valise/core/feedback'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import { useNewsWords } from './useNewsWords.ts'
import styles from './NewsList.module.css'

export function NewsList({ items }: { readonly items: readonly NewsItem[] }) {
  const { t } = useTranslation('feedback')
  const words = useNewsWords()
  const when = useWhen()
  if (items.length === 0) return <p className={styles.empty}>{t('news.empty')}</p>
  return (
    <ol className={styles.list}>
      {items.map((item) => (
        <li key={item.id}>
          <p className={styles.sentence}>{words(item)}</p>
          <p className={styles.when}>
            {when.dayTime(item.at)}
            {item.seen ? null : <b className={styles.fresh}>{t('news.new')}</b>}
          </p>
        </li>
      ))}
    </ol>
  )
}
