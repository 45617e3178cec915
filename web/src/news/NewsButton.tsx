// The bell: how many news are new, and the latest of them behind it.
import { useInfiniteQuery } from '@tanstack/react-query'
import { IconBell } from '@tabler/icons-react'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { useDisclosure } from '../ui/useDisclosure.ts'
import { NewsList } from './NewsList.tsx'
import { newsQueries, useSeenNews } from './queries.ts'
import styles from './NewsButton.module.css'

export function NewsButton() {
  const { t } = useTranslation('feedback')
  const { ref, isOpen, toggle } = useDisclosure<HTMLDivElement>()
  const news = useInfiniteQuery(newsQueries.list())
  const seen = useSeenNews()
  const id = useId()
  const first = news.data?.pages[0]
  const unseen = first?.unseen ?? 0
  const newest = first?.items[0]

  /** What was shown counts as seen once the panel closes, so that *new* can be read while it is open. */
  function press() {
    if (isOpen && newest && unseen > 0) seen.mutate(newest.id)
    toggle()
  }

  return (
    <div className={styles.news} ref={ref}>
      <button
        type="button"
        className={styles.button}
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={press}
      >
        <IconBell size={18} stroke={1.7} aria-hidden="true" />
        <span className={styles.label}>{t('news.button')}</span>
        {unseen > 0 ? (
          <>
            <span className={styles.count} aria-hidden="true">
              {unseen}
            </span>
            <span className="only-heard">{t('news.unseen', { count: unseen })}</span>
          </>
        ) : null}
      </button>
      <div id={id} className={styles.panel} hidden={!isOpen}>
        <h2>{t('news.title')}</h2>
        <NewsList items={news.data?.pages.flatMap((page) => page.items) ?? []} />
      </div>
    </div>
  )
}
