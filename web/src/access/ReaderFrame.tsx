// What stands around something that is read: one bar that says what it is and for whom, and the pages beside it.
import { IconListTree, IconPencil, IconX } from '@tabler/icons-react'
import type { ReadCollection, ReadPage } from '@valise/core/access'
import { pagesToRead } from '@valise/core/collections'
import { useRef } from 'react'
import type { ReactNode } from 'react'
import { Trans, useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { ReadingList } from './ReadingList.tsx'
import styles from './Reader.module.css'

interface ReaderFrameProps {
  readonly read: Pick<ReadPage, 'title' | 'isMine' | 'linkName'>
  /** The collection that it is read in, where it is read in one. */
  readonly collection: ReadCollection | null
  readonly pageId: string | null
  /** Where its author goes on with it. */
  readonly own: string
  readonly children: ReactNode
}

export function ReaderFrame({ read, collection, pageId, own, children }: ReaderFrameProps) {
  const { t } = useTranslation(['reading', 'app'])
  const pages = useRef<HTMLDialogElement>(null)
  const close = () => pages.current?.close()
  const title = collection?.title ?? read.title
  const forWhom = read.isMine ? 'bar.mine' : read.linkName === null ? 'bar.you' : 'bar.link'
  const hasPages = collection !== null && pagesToRead(collection.lines).length > 0
  return (
    <div className={styles.reader}>
      <header className={styles.bar} data-print="off">
        <p>
          <Trans
            t={t}
            i18nKey={forWhom}
            values={{ title, name: read.linkName ?? '' }}
            // Titles are plain text, whatever signs are in them.
            tOptions={{ interpolation: { escapeValue: true } }}
            shouldUnescape
            components={{ quiet: <span className={styles.quiet} /> }}
          />
        </p>
        {read.isMine ? (
          <Link to={own}>
            <IconPencil size={18} stroke={1.7} aria-hidden="true" />
            {t('bar.change')}
          </Link>
        ) : null}
        {hasPages ? (
          <button type="button" onClick={() => pages.current?.showModal()}>
            <IconListTree size={18} stroke={1.7} aria-hidden="true" />
            {t('bar.pages')}
          </button>
        ) : null}
      </header>
      {children}
      {collection && hasPages ? (
        <dialog ref={pages} className={styles.pages} aria-label={t('contents', { title: collection.title })}>
          <button type="button" className={styles.close} onClick={close}>
            <IconX size={20} stroke={1.7} aria-hidden="true" />
            {t('app:actions.close')}
          </button>
          <ReadingList id={collection.id} lines={collection.lines} current={pageId} onGo={close} />
        </dialog>
      ) : null}
    </div>
  )
}
