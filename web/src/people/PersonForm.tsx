// The fields of a person, for adding one and for changing one.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { languages } from '@valise/core/people'
import type { PersonInput } from '@valise/core/people'
import { Controller, useForm } from 'react-hook-form'
import type { UseFormReturn } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../ui/Refusal.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { peopleQueries } from './queries.ts'
import styles from './PersonForm.module.css'

interface PersonFormProps {
  readonly person: PersonInput
  readonly submit: string
  readonly error: unknown
  readonly isPending: boolean
  readonly onSave: (input: PersonInput) => void
}

/** Fields as the form holds them: text fields are never null. */
type Fields = Omit<PersonInput, 'chosenName' | 'email' | 'yearGroupId'> & {
  chosenName: string
  email: string
  yearGroupId: string
}
type TextName = 'fullName' | 'firstName' | 'chosenName' | 'signInName' | 'email'

export function PersonForm({ person, submit, error, isPending, onSave }: PersonFormProps) {
  const { t } = useTranslation(['people', 'problems'])
  const yearGroups = useQuery(peopleQueries.yearGroups())
  const form = useForm<Fields>({ values: toFields(person), resetOptions: { keepDirtyValues: true } })
  const problems = useProblemWords()
  const isShownAtField = (['signInName', 'email', 'fullName', 'firstName'] as const).some((name) =>
    problems.field(error, name),
  )
  return (
    <form
      className={styles.form}
      onSubmit={form.handleSubmit((fields) => onSave(toInput(fields)))}
      noValidate
    >
      <PersonText form={form} name="fullName" needed error={error} />
      <PersonText form={form} name="firstName" needed error={error} />
      <PersonText form={form} name="chosenName" help={t('form.chosenNameHelp')} error={error} />
      <PersonText form={form} name="signInName" needed help={t('form.signInNameHelp')} error={error} />
      <PersonText form={form} name="email" help={t('form.emailHelp')} error={error} />
      <Controller
        control={form.control}
        name="yearGroupId"
        render={({ field }) => (
          <SelectField
            label={t('form.yearGroup')}
            value={field.value}
            onChange={field.onChange}
            choices={[
              ['', t('form.staff')],
              ...(yearGroups.data ?? []).map(({ id, name }) => [id, name] as const),
            ]}
          />
        )}
      />
      <Controller
        control={form.control}
        name="language"
        render={({ field }) => (
          <SelectField
            label={t('form.language')}
            value={field.value}
            onChange={field.onChange}
            choices={languages.map((language) => [language, t(`languages.${language}`)] as const)}
          />
        )}
      />
      <Controller
        control={form.control}
        name="administrator"
        render={({ field }) => (
          <FormControlLabel
            control={<Checkbox checked={field.value} onChange={field.onChange} />}
            label={t('form.administrator')}
          />
        )}
      />
      <div className={styles.end}>
        <Refusal error={isShownAtField ? null : error} />
        <Button type="submit" variant="contained" color="primary" loading={isPending}>
          {submit}
        </Button>
      </div>
    </form>
  )
}

interface PersonTextProps {
  readonly form: UseFormReturn<Fields>
  readonly name: TextName
  readonly needed?: boolean
  readonly help?: string
  readonly error: unknown
}

function PersonText({ form, name, needed = false, help, error }: PersonTextProps) {
  const { t } = useTranslation(['people', 'problems'])
  const problems = useProblemWords()
  const wrong = form.formState.errors[name]?.message ?? problems.field(error, name)
  const rules = needed ? { required: t('problems:fields.missing') } : {}
  return (
    <TextField
      {...form.register(name, rules)}
      required={needed}
      size="small"
      label={t(`form.${name}`)}
      error={Boolean(wrong)}
      helperText={wrong ?? help}
      autoComplete="off"
      slotProps={{ htmlInput: { maxLength: 200 } }}
    />
  )
}

function toFields(person: PersonInput): Fields {
  const { chosenName, email, yearGroupId } = person
  return { ...person, chosenName: chosenName ?? '', email: email ?? '', yearGroupId: yearGroupId ?? '' }
}

function toInput(fields: Fields): PersonInput {
  const orNull = (text: string) => (text.trim() === '' ? null : text.trim())
  return {
    ...fields,
    signInName: fields.signInName.trim(),
    chosenName: orNull(fields.chosenName),
    email: orNull(fields.email),
    yearGroupId: orNull(fields.yearGroupId),
  }
}
