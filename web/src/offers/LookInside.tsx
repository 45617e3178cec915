// A look at what others offer, to try it out before one uses it.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQuery } from '@tanstack/react-query'
import type { OfferedContent, OfferedRow } from '@valise/core/offers'
import { textIn } from '@valise/core/people'
import { useId } from 'react'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import type { OfferedApi } from './offeredApi.ts'

interface LookInsideProps<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly row: OfferedRow
  readonly inside: (content: C) => ReactNode
  readonly onClose: () => void
}

export function LookInside<C extends OfferedContent>({ api, row, inside, onClose }: LookInsideProps<C>) {
  const { t, i18n } = useTranslation('app')
  const titleId = useId()
  const newest = useQuery(api.queries.newest(row.id))
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {textIn(row.title, i18n.language)}
      </DialogTitle>
      <DialogContent>
        <Fetched query={newest}>{({ content }) => inside(content)}</Fetched>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('actions.close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
