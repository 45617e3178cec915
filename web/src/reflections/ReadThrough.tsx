// Entries one after the other, whole, without opening each.
import Link from '@mui/material/Link'
import { useInfiniteQuery } from '@tanstack/react-query'
import { renderPage } from '@valise/core/pages'
import type { EntryReading } from '@valise/core/reflections'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { draftView } from '../evidence/base/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { reflectionQueries } from './queries.ts'
import type { EntryWish } from './queries.ts'
import styles from './Reflections.module.css'
import '@valise/core/pages/paper.css'

export function ReadThrough({ wish }: { readonly wish: EntryWish }) {
  const { t } = useTranslation('reflections')
  const list = useInfiniteQuery(reflectionQueries.reading(wish))
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  return (
    <>
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            <Empty>{t('entries.none')}</Empty>
          ) : (
            <ol className={styles.reading}>
              {items.map((entry) => (
                <Read key={entry.id} entry={entry} />
              ))}
            </ol>
          )
        }
      </Fetched>
      <MoreButton query={list} />
    </>
  )
}

function Read({ entry }: { readonly entry: EntryReading['items'][number] }) {
  const { t } = useTranslation('reflections')
  const when = useWhen()
  const { document, shown } = entry
  const title = document.title || t('entries.untitled')
  const view = draftView(document.lang, shown)
  return (
    <li>
      <header>
        <time dateTime={entry.day}>{when.localDay(entry.day)}</time>
        <Link component={RouterLink} to={`/entries/${entry.id}`} aria-label={t('entries.open', { title })}>
          {t('entries.openShort')}
        </Link>
      </header>
      {/* The core's renderer builds it from known parts and escapes all text. */}
      <div
        className={styles.sheetOfPaper}
        dangerouslySetInnerHTML={{ __html: renderPage({ ...document, title }, view) }}
      />
    </li>
  )
}
