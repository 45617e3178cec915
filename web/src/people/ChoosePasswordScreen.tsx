// Opened with a one-time link: choose a password and come in.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Stack from '@mui/material/Stack'
import { LEAST_PASSWORD_LENGTH } from '@valise/core/people'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useLocation, useNavigate } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { useChoosePassword } from '../session/index.ts'
import { DoorFrame } from './DoorFrame.tsx'
import { PasswordField } from './PasswordField.tsx'

export function ChoosePasswordScreen() {
  const { t } = useTranslation(['people', 'problems'])
  const token = useLocation().hash.slice(1)
  const navigate = useNavigate()
  const problems = useProblemWords()
  const form = useForm({ defaultValues: { password: '' } })
  const choose = useChoosePassword()
  const { errors } = form.formState
  const refused = problems.field(choose.error, 'password')

  const send = form.handleSubmit(({ password }) =>
    choose.mutate({ token, password }, { onSuccess: () => void navigate('/', { replace: true }) }),
  )

  if (token === '') {
    return (
      <DoorFrame title={t('choose.title')} lead={t('choose.missing')}>
        <Link component={RouterLink} to="/">
          {t('forgotten.back')}
        </Link>
      </DoorFrame>
    )
  }
  return (
    <DoorFrame title={t('choose.title')} lead={t('choose.lead', { least: LEAST_PASSWORD_LENGTH })}>
      <form onSubmit={send} noValidate>
        <Stack spacing={5}>
          <PasswordField
            {...form.register('password', { required: t('problems:fields.missing') })}
            required
            label={t('choose.password')}
            autoComplete="new-password"
            error={Boolean(errors.password ?? refused)}
            helperText={errors.password?.message ?? refused}
          />
          <Refusal error={refused ? null : choose.error} />
          <Button type="submit" variant="contained" color="primary" loading={choose.isPending}>
            {t('choose.submit')}
          </Button>
        </Stack>
      </form>
    </DoorFrame>
  )
}
