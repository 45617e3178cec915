// A look at a sheet of others, to try it out before one takes it.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQuery } from '@tanstack/react-query'
import { textIn } from '@valise/core/people'
import type { SheetRow } from '@valise/core/sheets'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { sheetQueries } from './queries.ts'
import { TryOut } from './TryOut.tsx'

interface SheetLookProps {
  readonly sheet: SheetRow
  readonly onClose: () => void
}

export function SheetLook({ sheet, onClose }: SheetLookProps) {
  const { t, i18n } = useTranslation(['sheets', 'app'])
  const titleId = useId()
  const newest = useQuery(sheetQueries.newest(sheet.id))
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {textIn(sheet.title, i18n.language)}
      </DialogTitle>
      <DialogContent>
        <Fetched query={newest}>{({ content }) => <TryOut content={content} />}</Fetched>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
