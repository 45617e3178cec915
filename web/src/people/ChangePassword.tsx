// Changes one's own password; the present one is asked for, and all other devices are signed out.
import Button from '@mui/material/Button'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Done } from '../ui/Done.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { useChangePassword } from '../session/index.ts'
import { PasswordField } from './PasswordField.tsx'
import styles from './SettingsScreen.module.css'

export function ChangePassword() {
  const { t } = useTranslation(['people', 'problems'])
  const form = useForm({ defaultValues: { present: '', next: '' } })
  const change = useChangePassword()
  const problems = useProblemWords()
  const needed = { required: t('problems:fields.missing') }
  const wrong = {
    present: form.formState.errors.present?.message ?? problems.field(change.error, 'present'),
    next: form.formState.errors.next?.message ?? problems.field(change.error, 'next'),
  }
  return (
    <form
      className={styles.form}
      noValidate
      onSubmit={form.handleSubmit((values) => change.mutate(values, { onSuccess: () => form.reset() }))}
    >
      <PasswordField
        {...form.register('present', needed)}
        required
        label={t('settings.present')}
        autoComplete="current-password"
        error={Boolean(wrong.present)}
        helperText={wrong.present}
      />
      <PasswordField
        {...form.register('next', needed)}
        required
        label={t('settings.next')}
        autoComplete="new-password"
        error={Boolean(wrong.next)}
        helperText={wrong.next}
      />
      <Refusal error={wrong.present || wrong.next ? null : change.error} />
      <Button type="submit" loading={change.isPending}>
        {t('settings.change')}
      </Button>
      <Done>{change.isSuccess ? t('settings.changed') : null}</Done>
    </form>
  )
}
