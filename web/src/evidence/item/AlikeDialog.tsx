// Similar pictures side by side, so that one stays and the others go into the bin.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import { everything } from '@valise/core/evidence'
import type { EvidenceQuery, EvidenceRow } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../../ui/Fetched.tsx'
import { Refusal } from '../../ui/Refusal.tsx'
import { useSize } from '../../ui/useSize.ts'
import { useWhen } from '../../ui/useWhen.ts'
import { renditionAddress, evidenceQueries, useEvidenceWords } from '../base/index.ts'
import { useBinMany } from '../../bin/index.ts'
import styles from './AlikeDialog.module.css'

interface AlikeDialogProps {
  /** The present query, of which those that look alike are shown. */
  readonly query: EvidenceQuery
  readonly onBinned: (ids: readonly string[]) => void
  readonly onClose: () => void
}

export function AlikeDialog({ query, onBinned, onClose }: AlikeDialogProps) {
  const { t } = useTranslation(['evidence', 'app'])
  const [itemId, setItemId] = useState(query.likeId)
  const list = useInfiniteQuery(evidenceQueries.found({ ...query, marks: ['alike'], likeId: null }))
  const firstId = list.data?.pages[0]?.items[0]?.id ?? null
  const seenId = itemId ?? firstId
  return (
    <Dialog open onClose={onClose} aria-labelledby="similar-pictures" fullWidth maxWidth="lg">
      <DialogTitle id="similar-pictures" variant="h2">
        {t('alike.title')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={list}>
          {() =>
            seenId === null ? (
              <p>{t('alike.none')}</p>
            ) : (
              <Alike
                key={seenId}
                id={seenId}
                onBinned={(ids) => {
                  onBinned(ids)
                  setItemId(null)
                }}
              />
            )
          }
        </Fetched>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function Alike({
  id,
  onBinned,
}: {
  readonly id: string
  readonly onBinned: (ids: readonly string[]) => void
}) {
  const { t } = useTranslation('evidence')
  const list = useInfiniteQuery(evidenceQueries.found({ ...everything, likeId: id }))
  const bin = useBinMany()
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const keepOnly = (chosen: EvidenceRow) => {
    const others = items.filter((item) => item.id !== chosen.id).map((item) => item.id)
    bin.mutate(others, { onSuccess: () => onBinned(others) })
  }
  if (list.data && items.length < 2) return <p>{t('alike.none')}</p>
  return (
    <>
      <p className={styles.lead}>{t('alike.lead')}</p>
      <ul className={styles.side}>
        {items.map((item) => (
          <li key={item.id}>
            <AlikePicture item={item} />
            <Button size="small" loading={bin.isPending} onClick={() => keepOnly(item)}>
              {t('alike.keepOnly', { count: items.length - 1 })}
            </Button>
          </li>
        ))}
      </ul>
      <Refusal error={bin.error} />
    </>
  )
}

function AlikePicture({ item }: { readonly item: EvidenceRow }) {
  const words = useEvidenceWords()
  const when = useWhen()
  const size = useSize()
  const { width, height, bytes } = item.version
  return (
    <figure className={styles.picture}>
      <img src={renditionAddress(item, 'screen')} alt={words.title(item)} />
      <figcaption>
        <b>{words.title(item)}</b>
        <small>
          {when.dayTime(item.madeAt)}
          <br />
          {width} × {height}, {size(bytes)}
        </small>
      </figcaption>
    </figure>
  )
}
