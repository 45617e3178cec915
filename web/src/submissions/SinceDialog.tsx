// What changed between two states of a part, piece by piece and word by word.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import type { PageChange } from '@valise/core/pages'
import { lazy, Suspense } from 'react'
import { useTranslation } from 'react-i18next'
import { ChangeList } from '../pages/ChangeList.tsx'
import { needWords } from '../words/i18n.ts'

/** Its words are those of pages, which the screens of submissions do without. */
const ChangesInWords = lazy(async () => {
  await needWords('pages')
  return { default: ChangeList }
})

interface SinceDialogProps {
  readonly title: string
  readonly changes: readonly PageChange[]
  readonly onClose: () => void
}

export function SinceDialog({ title, changes, onClose }: SinceDialogProps) {
  const { t } = useTranslation('app')
  return (
    <Dialog open onClose={onClose} aria-labelledby="since-title" maxWidth="sm" fullWidth>
      <DialogTitle id="since-title" variant="h2">
        {title}
      </DialogTitle>
      <DialogContent>
        <Suspense fallback={null}>
          <ChangesInWords changes={changes} />
        </Suspense>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('actions.close')}</Button>
      </DialogActions>
    </Dialog>
  )
}
