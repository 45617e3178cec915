// Choosing one of one's logbooks for a page that is to show it, or starting a new one there.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { IconPlus } from '@tabler/icons-react'
import { useQuery } from '@tanstack/react-query'
import { LONGEST_LOGBOOK_TITLE } from '@valise/core/reflections'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { LogbookChoices } from './LogbookChoices.tsx'
import { reflectionQueries, useCreateLogbook } from './queries.ts'

interface LogbookChooserProps {
  /** What a new one is called; it can be renamed later. */
  readonly newTitle: string
  readonly onChoose: (logbookId: string) => void
  readonly onClose: () => void
}

export function LogbookChooser({ newTitle, onChoose, onClose }: LogbookChooserProps) {
  const { t } = useTranslation(['pages', 'app'])
  const list = useQuery(reflectionQueries.logbooks())
  const create = useCreateLogbook()
  const [key] = useState(() => crypto.randomUUID())
  const choose = (id: string) => {
    onChoose(id)
    onClose()
  }
  const title = (newTitle.trim() || t('chooser.newLogbookTitle')).slice(0, LONGEST_LOGBOOK_TITLE)
  return (
    <Dialog open onClose={onClose} aria-labelledby="choose-logbook" maxWidth="sm" fullWidth>
      <DialogTitle id="choose-logbook" variant="h2">
        {t('chooser.logbook')}
      </DialogTitle>
      <DialogContent>
        <Fetched query={list}>
          {(logbooks) => (
            <LogbookChoices
              logbooks={logbooks}
              countInWords={(count) => t('chooser.entries', { count })}
              onChoose={choose}
            />
          )}
        </Fetched>
        <Refusal error={create.error} />
      </DialogContent>
      <DialogActions>
        <Button
          startIcon={<IconPlus size={18} stroke={1.7} />}
          loading={create.isPending}
          onClick={() => create.mutate({ title, key }, { onSuccess: ({ id }) => choose(id) })}
        >
          {t('chooser.newLogbook')}
        </Button>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
