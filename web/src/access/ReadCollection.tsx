// A collection as its reader meets it: whose it is, and its pages in order.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { ReadCollection as Read } from '@valise/core/access'
import { pagesToRead } from '@valise/core/collections'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { accessQueries } from './queries.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { setPlace } from '../ui/place.ts'
import { ReaderFrame } from './ReaderFrame.tsx'
import { ReadingList } from './ReadingList.tsx'
import styles from './Reader.module.css'

export function ReadCollection({ id }: { readonly id: string }) {
  const collection = useQuery(accessQueries.collection(id))
  return (
    <div className={styles.fetched}>
      <Fetched query={collection}>{(read) => <Opened read={read} />}</Fetched>
    </div>
  )
}

function Opened({ read }: { readonly read: Read }) {
  const { t } = useTranslation(['reading', 'app'])
  const pages = pagesToRead(read.lines)
  const [first] = pages
  const title = read.title || t('app:states.untitled')
  const within = read.isMine ? 'collections' : 'opened'
  useEffect(() => setPlace({ name: title, parent: t(`app:places.${within}`), within }), [title, within, t])
  return (
    <ReaderFrame read={{ ...read, title }} collection={null} pageId={null} own={`/collections/${read.id}`}>
      <div className={styles.contents}>
        <h1>{title}</h1>
        <p className={styles.by}>{t('by', { name: read.ownerName })}</p>
        {first ? (
          <>
            <Button
              variant="contained"
              color="primary"
              component={RouterLink}
              to={`/pages/${first.id}?in=${read.id}`}
            >
              {t('start')}
            </Button>
            <p className={styles.count}>{t('pages', { count: pages.length })}</p>
            <ReadingList id={read.id} lines={read.lines} current={null} />
          </>
        ) : (
          <Empty>{t('nothing')}</Empty>
        )}
      </div>
    </ReaderFrame>
  )
}
