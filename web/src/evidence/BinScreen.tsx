// The bin: what was put there, until when it stays, and the way back.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { binEndsAt } from '@valise/core/evidence'
import type { EvidenceRow } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { BinnedDrafts, useBinnedDrafts } from '../pages/BinnedDrafts.tsx'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { evidenceQueries, useBin, useRemoveForGood } from './queries.ts'
import { Thumbnail } from './Thumbnail.tsx'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './BinScreen.module.css'

export function BinScreen() {
  const { t } = useTranslation(['evidence', 'app'])
  const list = useInfiniteQuery(evidenceQueries.bin())
  const [leaving, setLeaving] = useState<EvidenceRow | null>(null)
  const bin = useBin()
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const drafts = useBinnedDrafts()
  const count = (list.data?.pages[0]?.count ?? 0) + drafts.count
  return (
    <Screen
      place={t('app:places.bin')}
      sentence={list.data ? t('bin.sentence', { count }) : t('app:places.bin')}
      lead={t('bin.lead')}
    >
      <Refusal error={bin.error} />
      <Fetched query={list}>
        {() =>
          items.length === 0 ? (
            drafts.count === 0 ? (
              <Empty>{t('bin.empty')}</Empty>
            ) : null
          ) : (
            <>
              <ul className={styles.list}>
                {items.map((item) => (
                  <BinRow
                    key={item.id}
                    item={item}
                    onTakeOut={() => bin.mutate({ id: item.id, into: false })}
                    onRemove={() => setLeaving(item)}
                  />
                ))}
              </ul>
              <MoreButton query={list} />
            </>
          )
        }
      </Fetched>
      <BinnedDrafts />
      {leaving ? <RemoveDialog item={leaving} onClose={() => setLeaving(null)} /> : null}
    </Screen>
  )
}

interface BinRowProps {
  readonly item: EvidenceRow
  readonly onTakeOut: () => void
  readonly onRemove: () => void
}

function BinRow({ item, onTakeOut, onRemove }: BinRowProps) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const when = useWhen()
  const title = words.title(item)
  return (
    <li>
      <span className={styles.picture}>
        <Thumbnail item={item} />
      </span>
      <span className={styles.words}>
        <b>{title}</b>
        <small>{words.line(item)}</small>
        <small>{item.binnedAt ? t('bin.until', { date: when.date(binEndsAt(item.binnedAt)) }) : null}</small>
      </span>
      <span className={styles.verbs}>
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

function RemoveDialog({ item, onClose }: { readonly item: EvidenceRow; readonly onClose: () => void }) {
  const { t } = useTranslation(['evidence', 'app'])
  const words = useEvidenceWords()
  const remove = useRemoveForGood()
  return (
    <Dialog open onClose={onClose} aria-labelledby="remove-title">
      <DialogTitle id="remove-title" variant="h2">
        {t('bin.removeTitle', { title: words.title(item) })}
      </DialogTitle>
      <DialogContent>
        <p>{t('bin.removeText')}</p>
        <Refusal error={remove.error} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
        <Button
          color="error"
          loading={remove.isPending}
          onClick={() => remove.mutate(item.id, { onSuccess: onClose })}
        >
          {t('bin.remove')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
