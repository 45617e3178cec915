// Adds a class, or changes its name and code.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Stack from '@mui/material/Stack'
import TextField from '@mui/material/TextField'
import type { Class, ClassInput } from '@valise/core/classes'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { useSaveClass } from './queries.ts'

interface ClassDialogProps {
  /** The class that is changed; null adds one. */
  readonly changed: Class | null
  readonly onClose: () => void
}

export function ClassDialog({ changed, onClose }: ClassDialogProps) {
  const { t } = useTranslation(['classes', 'app', 'problems'])
  const [key] = useState(() => crypto.randomUUID())
  const form = useForm<ClassInput>({
    defaultValues: { name: changed?.name ?? '', code: changed?.code ?? '' },
  })
  const save = useSaveClass(changed)
  const problems = useProblemWords()
  const { errors } = form.formState
  const needed = { required: t('problems:fields.missing') }
  const codeError = errors.code?.message ?? problems.field(save.error, 'code')
  const title = changed === null ? t('mine.add') : `${t('mine.change')}: ${changed.name}`

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="class-dialog">
      <form
        onSubmit={form.handleSubmit((input) => save.mutate({ key, input }, { onSuccess: onClose }))}
        noValidate
      >
        <DialogTitle id="class-dialog" variant="h2">
          {title}
        </DialogTitle>
        <DialogContent>
          <Stack spacing={5} sx={{ pt: 2 }}>
            <TextField
              {...form.register('name', needed)}
              required
              label={t('mine.name')}
              size="small"
              autoFocus
              error={Boolean(errors.name)}
              helperText={errors.name?.message}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            <TextField
              {...form.register('code', needed)}
              required
              label={t('mine.code')}
              size="small"
              error={Boolean(codeError)}
              helperText={codeError ?? t('mine.codeHelp')}
              slotProps={{ htmlInput: { maxLength: 30 } }}
            />
            <Refusal error={codeError ? null : save.error} />
          </Stack>
        </DialogContent>
        <DialogActions sx={{ p: 4 }}>
          <Button onClick={onClose}>{t('app:actions.cancel')}</Button>
          <Button type="submit" variant="contained" color="primary" loading={save.isPending}>
            {changed === null ? t('mine.addShort') : t('mine.keep')}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
