// A published page as its reader meets it: whose it is, the page itself, and the next one in reach.
import { useQuery } from '@tanstack/react-query'
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react'
import type { ReadCollection, ReadPage as Read } from '@valise/core/access'
import { pagesToRead } from '@valise/core/collections'
import { useEffect } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useSearchParams } from 'react-router'
import '@valise/core/pages/paper.css'
import { Fetched } from '../ui/Fetched.tsx'
import { setPlace } from '../ui/place.ts'
import { useWhen } from '../ui/useWhen.ts'
import { accessQueries } from './queries.ts'
import { PaperToRead } from './PaperToRead.tsx'
import { ReaderFrame } from './ReaderFrame.tsx'
import styles from './Reader.module.css'

interface ReadPageProps {
  readonly id: string
  /** What stands under the page for whoever is signed in. */
  readonly after?: ReactNode
}

export function ReadPage({ id, after }: ReadPageProps) {
  const page = useQuery(accessQueries.page(id))
  return (
    <div className={styles.fetched}>
      <Fetched query={page}>{(read) => <Opened key={read.id} read={read} after={after} />}</Fetched>
    </div>
  )
}

function Opened({ read, after }: { readonly read: Read; readonly after: ReactNode }) {
  const { t } = useTranslation(['reading', 'app'])
  const when = useWhen()
  const [search] = useSearchParams()
  const asked = search.get('in')
  const inId = read.collections.find((id) => id === asked) ?? read.collections[0] ?? null
  const { data: collection = null } = useQuery({
    ...accessQueries.collection(inId ?? ''),
    enabled: inId !== null,
  })
  useEffect(() => {
    const within = read.isMine ? 'pages' : 'opened'
    setPlace({ name: read.title, parent: t(`app:places.${within}`), within })
  }, [read.title, read.isMine, t])
  const by = { name: read.ownerName, date: when.date(read.at) }
  return (
    <ReaderFrame read={read} collection={collection} pageId={read.id} own={`/pages/${read.id}`}>
      <div className={styles.sheet}>
        <p className={styles.by}>{t('byDate', by)}</p>
        <PaperToRead html={read.html} />
      </div>
      {after ? <div className={styles.after}>{after}</div> : null}
      {collection ? <NextPages collection={collection} read={read} /> : null}
    </ReaderFrame>
  )
}

interface NextPagesProps {
  readonly collection: ReadCollection
  readonly read: Read
}

function NextPages({ collection, read }: NextPagesProps) {
  const { t } = useTranslation('reading')
  const pages = pagesToRead(collection.lines)
  const at = pages.findIndex(({ id }) => id === read.id)
  if (at < 0 || pages.length < 2) return null
  const [before, next] = [pages[at - 1], pages[at + 1]]
  const place = { n: at + 1, count: pages.length }
  const to = (id: string) => `/pages/${id}?in=${collection.id}`
  return (
    <nav className={styles.next} data-print="off" aria-label={t('contents', { title: collection.title })}>
      {before ? (
        <Link to={to(before.id)} aria-label={t('back', { title: before.title })}>
          <IconChevronLeft size={20} stroke={1.7} aria-hidden="true" />
        </Link>
      ) : (
        <span />
      )}
      <p>
        {t(next ? 'next' : 'last', place)}
        {next ? <Link to={to(next.id)}>{next.title}</Link> : null}
      </p>
      {next ? (
        <Link to={to(next.id)} aria-label={t('on', { title: next.title })}>
          <IconChevronRight size={20} stroke={1.7} aria-hidden="true" />
        </Link>
      ) : (
        <span />
      )}
    </nav>
  )
}
