// What publishing would change, piece by piece and word by word, and the act itself.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { PageChange } from '@valise/core/pages'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { ChangeList } from './ChangeList.tsx'
import { usePublish } from './queries.ts'
import { WordsOwed } from './WordsOwed.tsx'
import { usePage } from './usePageEditor.ts'
import styles from './ChangesDialog.module.css'

interface ChangesDialogProps {
  readonly changes: readonly PageChange[]
  readonly onClose: () => void
}

export function ChangesDialog({ changes, onClose }: ChangesDialogProps) {
  const { t } = useTranslation(['pages', 'app'])
  const { page, draft } = usePage()
  const publish = usePublish(page.id)
  const [isAway, setIsAway] = useState(false)
  const isFirst = page.published === null
  const saving = useRef(new Map<string, () => Promise<boolean>>())

  /** What is published is what is seen here, so all of it has to be there first. */
  const onPublish = async () => {
    setIsAway(false)
    const saved = await Promise.all([...saving.current.values()].map((settled) => settled()))
    if (saved.includes(false)) return
    draft.sync.deliverNow()
    if ((await draft.sync.settled()) !== 'delivered') return setIsAway(true)
    publish.mutate(draft.sync.state().revision, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} aria-labelledby="changes-title" maxWidth="sm" fullWidth>
      <DialogTitle id="changes-title" variant="h2">
        {isFirst ? t('changes.first') : t('changes.title', { count: changes.length })}
      </DialogTitle>
      <DialogContent>
        <p className={styles.lead}>{isFirst ? t('changes.firstLead') : t('changes.lead')}</p>
        <WordsOwed onSaving={(id, settled) => saving.current.set(id, settled)} />
        <ChangeList changes={changes} />
        {isAway ? <p role="alert">{t('changes.away')}</p> : null}
        <Refusal error={publish.error} />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('changes.later')}
        </Button>
        <Button
          variant="contained"
          color="primary"
          loading={publish.isPending}
          disabled={changes.length === 0}
          onClick={() => void onPublish()}
        >
          {isFirst ? t('seam.publish') : t('seam.publishChanges', { count: changes.length })}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
