// Moving entries to another logbook.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useQuery } from '@tanstack/react-query'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { LogbookChoices } from './LogbookChoices.tsx'
import { reflectionQueries, useMoveEntries } from './queries.ts'

interface MoveEntriesProps {
  readonly ids: readonly string[]
  /** The logbook in which they are. */
  readonly from: string
  readonly onMoved: () => void
  readonly onClose: () => void
}

export function MoveEntries({ ids, from, onMoved, onClose }: MoveEntriesProps) {
  const { t } = useTranslation(['reflections', 'app'])
  const titleId = useId()
  const logbooks = useQuery(reflectionQueries.logbooks())
  const move = useMoveEntries()
  const moveTo = (logbookId: string) =>
    move.mutate(
      { ids: [...ids], logbookId },
      {
        onSuccess: () => {
          onMoved()
          onClose()
        },
      },
    )
  return (
    <Dialog open onClose={onClose} aria-labelledby={titleId} fullWidth maxWidth="sm">
      <DialogTitle id={titleId} variant="h2">
        {t('entries.moveTo', { count: ids.length })}
      </DialogTitle>
      <DialogContent>
        <Refusal error={move.error} />
        <Fetched query={logbooks}>
          {(list) => {
            const others = list.filter(({ id }) => id !== from)
            return others.length === 0 ? (
              <p>{t('entries.noOther')}</p>
            ) : (
              <LogbookChoices
                logbooks={others}
                isDisabled={move.isPending}
                countInWords={(count) => t('logbooks.entries', { count })}
                onChoose={moveTo}
              />
            )
          }}
        </Fetched>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('app:actions.cancel')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
