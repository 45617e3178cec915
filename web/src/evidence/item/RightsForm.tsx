// What somebody else made: who, from where, and under which licence it may be used.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { licenceIds } from '@valise/core/evidence'
import type { LicenceId, Rights } from '@valise/core/evidence'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useTranslation } from 'react-i18next'
import { Refusal } from '../../ui/Refusal.tsx'
import { SelectField } from '../../ui/SelectField.tsx'
import { useProblemWords } from '../../ui/useProblemWords.ts'
import { useLicenceName } from '../base/index.ts'
import styles from './Fields.module.css'

interface RightsFormProps {
  readonly rights: Rights
  /** What was typed before and put away. */
  readonly typed?: RightsValues | null
  readonly onSave: (rights: Rights) => Promise<unknown>
  /** @param typed what is to stand here when it is opened again; nothing once it was declared or cancelled */
  readonly onClose: (typed?: RightsValues) => void
}

export interface RightsValues {
  readonly maker: string
  readonly source: string
}

export function RightsForm({ rights, typed = null, onSave, onClose }: RightsFormProps) {
  const { t } = useTranslation(['evidence', 'problems', 'app'])
  const problems = useProblemWords()
  const licenceName = useLicenceName()
  const [licence, setLicence] = useState<LicenceId>(
    rights.state === 'licensed' ? rights.licence : 'cc-by-4.0',
  )
  const [problem, setProblem] = useState<unknown>(null)
  const present: RightsValues = typed ?? (rights.state === 'licensed' ? rights : { maker: '', source: '' })
  const form = useForm<RightsValues>({ defaultValues: present })
  const isNeeded = (value: string) => value.trim() !== '' || t('problems:fields.missing')
  const wrong = (name: 'maker' | 'source') =>
    form.formState.errors[name]?.message ?? problems.field(problem, `rights/${name}`)
  const save = form.handleSubmit(({ maker, source }) =>
    onSave({ state: 'licensed', maker, source, licence }).then(() => onClose(), setProblem),
  )
  return (
    <form
      className={styles.form}
      noValidate
      onSubmit={(event) => void save(event)}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return
        // It closes this form, and not the drawer as well; what was typed stands here again.
        event.preventDefault()
        onClose(form.getValues())
      }}
    >
      <TextField
        {...form.register('maker', { validate: isNeeded })}
        required
        autoFocus
        size="small"
        label={t('rights.maker')}
        error={Boolean(wrong('maker'))}
        helperText={wrong('maker')}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <TextField
        {...form.register('source', { validate: isNeeded })}
        required
        size="small"
        label={t('rights.whereFrom')}
        error={Boolean(wrong('source'))}
        helperText={wrong('source') ?? t('rights.whereFromHint')}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      <SelectField
        label={t('rights.licence')}
        value={licence}
        choices={licenceIds.map((id) => [id, licenceName(id)] as const)}
        onChange={(value) => setLicence(licenceIds.find((id) => id === value) ?? 'permission')}
      />
      <Refusal error={wrong('maker') || wrong('source') ? null : problem} />
      <div className={styles.verbs}>
        <Button type="submit" size="small" loading={form.formState.isSubmitting}>
          {t('rights.declare')}
        </Button>
        <Button size="small" variant="text" onClick={() => onClose()}>
          {t('app:actions.cancel')}
        </Button>
      </div>
    </form>
  )
}
