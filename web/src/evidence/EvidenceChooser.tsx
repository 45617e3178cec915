// Choosing one thing from one's evidence, for whatever slot wants it.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useInfiniteQuery } from '@tanstack/react-query'
import type { EvidenceKind, EvidenceRow } from '@valise/core/evidence'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { evidenceQueries } from './queries.ts'
import { Thumbnail } from './Thumbnail.tsx'
import { useEvidenceWords } from './useEvidenceWords.ts'
import styles from './EvidenceChooser.module.css'

interface EvidenceChooserProps {
  readonly kinds: readonly EvidenceKind[]
  readonly onChoose: (item: EvidenceRow) => void
  readonly onClose: () => void
}

export function EvidenceChooser({ kinds, onChoose, onClose }: EvidenceChooserProps) {
  const { t } = useTranslation(['pages', 'app'])
  const words = useEvidenceWords()
  const list = useInfiniteQuery(evidenceQueries.list('evidence'))
  const items = (list.data?.pages.flatMap((page) => page.items) ?? []).filter(({ kind }) =>
    kinds.includes(kind),
  )
  // A page of the list may hold nothing of the wanted kind; then the next one is looked at.
  const { hasNextPage, isFetching, fetchNextPage } = list
  useEffect(() => {
    if (items.length === 0 && hasNextPage && !isFetching) void fetchNextPage()
  }, [items.length, hasNextPage, isFetching, fetchNextPage])
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-evidence" maxWidth="md" fullWidth>
      <DialogTitle id="choose-evidence" variant="h2">
        {t(kinds.includes('picture') ? 'chooser.picture' : 'chooser.file')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={list}>
          {() =>
            items.length === 0 && !hasNextPage ? (
              <p>{t('chooser.empty')}</p>
            ) : (
              <ul className={styles.grid}>
                {items.map((item) => (
                  <li key={item.id}>
                    <button
                      type="button"
                      onClick={() => {
                        onChoose(item)
                        onClose()
                      }}
                    >
                      <span className={styles.picture}>
                        <Thumbnail item={item} />
                      </span>
                      <b>{words.title(item)}</b>
                      <small>{words.line(item)}</small>
                    </button>
                  </li>
                ))}
              </ul>
            )
          }
        </Fetched>
        <MoreButton query={list} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
