// Asks for a link to choose a new password. The answer never says whether there is such a person.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Stack from '@mui/material/Stack'
import TextField from '@mui/material/TextField'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Done } from '../ui/Done.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useForgottenPassword } from '../session/index.ts'

export function ForgottenForm({ onBack }: { readonly onBack: () => void }) {
  const { t } = useTranslation(['people', 'problems'])
  const form = useForm({ defaultValues: { signInName: '' } })
  const ask = useForgottenPassword()
  const { errors } = form.formState
  return (
    <form onSubmit={form.handleSubmit((values) => ask.mutate(values))} noValidate>
      <Stack spacing={5}>
        <TextField
          {...form.register('signInName', { required: t('problems:fields.missing') })}
          required
          label={t('signIn.name')}
          size="small"
          fullWidth
          autoComplete="username"
          error={Boolean(errors.signInName)}
          helperText={errors.signInName?.message}
          slotProps={{ htmlInput: { autoCapitalize: 'none', maxLength: 200 } }}
        />
        <Refusal error={ask.error} />
        <Done>{ask.isSuccess ? t('forgotten.sent', { name: ask.variables.signInName }) : null}</Done>
        <Button type="submit" variant="contained" color="primary" loading={ask.isPending}>
          {t('forgotten.submit')}
        </Button>
        <Link component="button" type="button" onClick={onBack} sx={{ alignSelf: 'flex-start' }}>
          {t('forgotten.back')}
        </Link>
      </Stack>
    </form>
  )
}
