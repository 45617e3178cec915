// Choosing one thing from one's evidence, for whatever slot wants it; or gathering it right into the slot.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useInfiniteQuery, useQueryClient } from '@tanstack/react-query'
import { everything, isShownAsPicture } from '@valise/core/evidence'
import type { EvidenceKind, EvidenceRow } from '@valise/core/evidence'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { GatherMenu } from '../../gather/index.ts'
import { Fetched } from '../../ui/Fetched.tsx'
import { MoreButton } from '../../ui/MoreButton.tsx'
import { useLater } from '../../ui/useLater.ts'
import { evidenceQueries } from '../base/index.ts'
import { PickGrid } from './PickGrid.tsx'
import styles from './EvidenceChooser.module.css'

interface EvidenceChooserProps {
  readonly kinds: readonly EvidenceKind[]
  /** The assignment whose slot it is for. */
  readonly assignmentId?: string
  readonly onChoose: (item: EvidenceRow) => void
  readonly onClose: () => void
}

export function EvidenceChooser({ kinds, assignmentId, onChoose, onClose }: EvidenceChooserProps) {
  const { t } = useTranslation(['pages', 'app'])
  const client = useQueryClient()
  const [wanted, setWanted] = useState('')
  const later = useLater(wanted.trim())
  const list = useInfiniteQuery(evidenceQueries.found({ ...everything, kinds, words: later }))
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const choose = (item: EvidenceRow) => {
    onChoose(item)
    onClose()
  }
  const onSaved = (id: string) => void client.fetchQuery(evidenceQueries.one(id)).then(choose)
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-evidence" maxWidth="md" fullWidth>
      <DialogTitle id="choose-evidence" variant="h2">
        {t(kinds.every(isShownAsPicture) ? 'chooser.picture' : 'chooser.file')}
      </DialogTitle>
      <DialogContent>
        <div className={styles.head}>
          <TextField
            type="search"
            size="small"
            label={t('chooser.words')}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <GatherMenu isQuiet place={{ ...(assignmentId !== undefined && { assignmentId }), onSaved }} />
        </div>
        <Fetched query={list}>
          {() =>
            items.length === 0 ? (
              <p>{t(later === '' ? 'chooser.empty' : 'chooser.nothing')}</p>
            ) : (
              <PickGrid items={items} onPress={choose} />
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
