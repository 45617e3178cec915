// What was just put into the bin, with the way back.
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import { useQueryClient } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { evidenceQueries, useBin } from './queries.ts'
import { useEvidenceWords } from './useEvidenceWords.ts'

const UNDO_MS = 8000

export function BinnedNote({
  ids,
  onGone,
}: {
  readonly ids: readonly string[]
  readonly onGone: () => void
}) {
  const { t } = useTranslation('evidence')
  const words = useEvidenceWords()
  const client = useQueryClient()
  const bin = useBin()
  const [only] = ids
  if (only === undefined) return null
  const item = ids.length === 1 ? client.getQueryData(evidenceQueries.one(only).queryKey) : undefined
  const takeOut = async () => {
    for (const id of ids) await bin.mutateAsync({ id, into: false })
    onGone()
  }
  return (
    <Snackbar
      open
      autoHideDuration={UNDO_MS}
      onClose={(_event, reason) => reason !== 'clickaway' && onGone()}
      message={item ? t('bin.done', { title: words.title(item) }) : t('bin.doneMany', { count: ids.length })}
      action={
        <Button
          size="small"
          variant="text"
          sx={{ color: 'var(--stitch-base)' }}
          onClick={() => void takeOut().catch(() => undefined)}
        >
          {t('bin.undo')}
        </Button>
      }
    />
  )
}
