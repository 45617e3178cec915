// Name and password: the form that signs in.
import Button from '@mui/material/Button'
import Stack from '@mui/material/Stack'
import TextField from '@mui/material/TextField'
import type { SignedIn } from '@valise/core/people'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { useSignIn } from '../session/index.ts'
import { PasswordField } from './PasswordField.tsx'

interface SignInFormProps {
  readonly submit: string
  readonly onSignedIn?: (session: SignedIn) => void
}

export function SignInForm({ submit, onSignedIn }: SignInFormProps) {
  const { t } = useTranslation(['people', 'problems'])
  const form = useForm({ defaultValues: { signInName: '', password: '' } })
  const signIn = useSignIn()
  const { errors } = form.formState
  const needed = { required: t('problems:fields.missing') }

  const send = form.handleSubmit((values) =>
    signIn.mutate(values, {
      onSuccess: (session) => onSignedIn?.(session),
      onError: () => form.setFocus('password', { shouldSelect: true }),
    }),
  )

  return (
    <form onSubmit={send} noValidate>
      <Stack spacing={5}>
        <TextField
          {...form.register('signInName', needed)}
          required
          label={t('signIn.name')}
          size="small"
          fullWidth
          autoComplete="username"
          error={Boolean(errors.signInName)}
          helperText={errors.signInName?.message}
          slotProps={{
            htmlInput: { autoCapitalize: 'none', spellCheck: false, maxLength: 200 },
          }}
        />
        <PasswordField
          {...form.register('password', needed)}
          required
          label={t('signIn.password')}
          autoComplete="current-password"
          error={Boolean(errors.password)}
          helperText={errors.password?.message}
        />
        <Refusal error={signIn.error} />
        <Button type="submit" variant="contained" color="primary" loading={signIn.isPending} fullWidth>
          {submit}
        </Button>
      </Stack>
    </form>
  )
}
