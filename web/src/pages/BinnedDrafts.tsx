// Pages, entries and collections in the bin, each with the way back and the way out for good.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { binEndsAt } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { collectionQueries, useBinCollection } from '../collections/queries.ts'
import { reflectionQueries, useBinEntry } from '../reflections/queries.ts'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { pageQueries, useBinPage } from './queries.ts'
import styles from './BinnedDrafts.module.css'

interface Binned {
  readonly kind: 'page' | 'entry' | 'collection'
  readonly id: string
  readonly title: string
  readonly binnedAt: string | null
}

export function useBinnedDrafts() {
  const pages = useInfiniteQuery(pageQueries.list('bin'))
  const entries = useInfiniteQuery(reflectionQueries.entries({ logbookId: null, shelf: 'bin' }))
  const collections = useInfiniteQuery(collectionQueries.list('bin'))
  const count = [pages, entries, collections].reduce((sum, { data }) => sum + (data?.pages[0]?.count ?? 0), 0)
  return { pages, entries, collections, count }
}

export function BinnedDrafts() {
  const { t } = useTranslation('evidence')
  const { pages, entries, collections } = useBinnedDrafts()
  const binPage = useBinPage()
  const binEntry = useBinEntry()
  const binCollection = useBinCollection()
  const [leaving, setLeaving] = useState<Binned | null>(null)
  const items: Binned[] = [
    ...(pages.data?.pages ?? []).flatMap((page) =>
      page.items.map((one) => ({ ...one, kind: 'page' as const })),
    ),
    ...(entries.data?.pages ?? []).flatMap((page) =>
      page.items.map((one) => ({ ...one, kind: 'entry' as const })),
    ),
    ...(collections.data?.pages ?? []).flatMap((page) =>
      page.items.map((one) => ({ ...one, kind: 'collection' as const })),
    ),
  ]
  const act = ({ kind, id }: Binned, what: 'out' | 'remove') =>
    ({ page: binPage, entry: binEntry, collection: binCollection })[kind].mutate({ id, act: what })
  if (items.length === 0) return null
  return (
    <section className={styles.drafts}>
      <h2>{t('bin.drafts')}</h2>
      <Refusal error={binPage.error ?? binEntry.error ?? binCollection.error} />
      <ul>
        {items.map((item) => (
          <Row
            key={item.id}
            item={item}
            onTakeOut={() => act(item, 'out')}
            onRemove={() => setLeaving(item)}
          />
        ))}
      </ul>
      <MoreButton query={pages} />
      <MoreButton query={entries} />
      <MoreButton query={collections} />
      {leaving ? (
        <RemoveDialog
          item={leaving}
          onClose={() => setLeaving(null)}
          onRemove={() => {
            act(leaving, 'remove')
            setLeaving(null)
          }}
        />
      ) : null}
    </section>
  )
}

function useTitle(): (item: Binned) => string {
  const { t } = useTranslation('evidence')
  return ({ title, kind }) => title || t(`drawer.untitled.${kind}`)
}

interface RowProps {
  readonly item: Binned
  readonly onTakeOut: () => void
  readonly onRemove: () => void
}

function Row({ item, onTakeOut, onRemove }: RowProps) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  const title = useTitle()(item)
  return (
    <li>
      <span>
        <b>{title}</b>
        <small>
          {t(`bin.kinds.${item.kind}`)}
          {item.binnedAt ? `, ${t('bin.until', { date: when.date(binEndsAt(item.binnedAt)) })}` : ''}
        </small>
      </span>
      <span>
        <Button size="small" aria-label={t('bin.takeOutOf', { title })} onClick={onTakeOut}>
          {t('bin.takeOut')}
        </Button>
        <Button size="small" variant="text" aria-label={t('bin.removeOf', { title })} onClick={onRemove}>
          {t('bin.remove')}
        </Button>
      </span>
    </li>
  )
}

interface RemoveDialogProps {
  readonly item: Binned
  readonly onClose: () => void
  readonly onRemove: () => void
}

function RemoveDialog({ item, onClose, onRemove }: RemoveDialogProps) {
  const { t } = useTranslation(['evidence', 'app'])
  const titleOf = useTitle()
  return (
    <Dialog open onClose={onClose} aria-labelledby="remove-draft">
      <DialogTitle id="remove-draft" variant="h2">
        {t('bin.removeTitle', { title: titleOf(item) })}
      </DialogTitle>
      <DialogContent>
        <p>{t('bin.removeDraftText')}</p>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
        <Button color="error" onClick={onRemove}>
          {t('bin.remove')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
