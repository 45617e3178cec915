// Whom a pass is for, as sentences with who that is. What the rules forbid is shown with its reason.
import TextField from '@mui/material/TextField'
import { LONGEST_LINK_NAME } from '@valise/core/access'
import type { Audience, Audiences } from '@valise/core/access'
import type { ReactNode } from 'react'
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'
import styles from './GivePass.module.css'

interface AudienceChoiceProps {
  readonly audiences: Audiences
  readonly value: Audience | null
  readonly hasAsked: boolean
  readonly onChange: (audience: Audience) => void
}

export function AudienceChoice({ audiences, value, hasAsked, onChange }: AudienceChoiceProps) {
  const { t } = useTranslation(['access', 'problems'])
  const { classes, people } = audiences
  const mayOpen = (kind: Audience['kind']) => audiences.allowed.includes(kind)
  const isChosen = (kind: Audience['kind'], classId?: string) =>
    value?.kind === kind && (!('classId' in value) || value.classId === classId)
  const missing = hasAsked ? t('problems:fields.missing') : null
  const choice = { onChange, isChosen, mayOpen }
  return (
    <fieldset className={styles.choices}>
      <legend className="only-heard">{t('give.missing')}</legend>
      {classes.map(({ id, name, assessors }) => (
        <Choice
          key={`assessors ${id}`}
          audience={{ kind: 'assessors', classId: id }}
          title={t('give.assessors', { class: name })}
          hint={assessors.map((one) => one.name).join(', ') || t('give.noAssessors')}
          {...choice}
        />
      ))}
      {classes.map(({ id, name, people: count }) => (
        <Choice
          key={`class ${id}`}
          audience={{ kind: 'class', classId: id }}
          title={t('give.class', { class: name })}
          hint={t('give.people', { count })}
          {...choice}
        />
      ))}
      {people.length > 0 ? (
        <Choice
          audience={{ kind: 'person', personId: '' }}
          title={t('give.person')}
          hint={t('give.personHint')}
          {...choice}
        >
          {value?.kind === 'person' ? (
            <SelectField
              label={t('give.which')}
              value={value.personId}
              fullWidth
              error={value.personId === '' ? missing : null}
              choices={people.map(({ id, name, isAssessor, className }) => [
                id,
                t(isAssessor ? 'look.assessor' : 'look.person', { name, class: className }),
              ])}
              onChange={(personId) => onChange({ kind: 'person', personId })}
            />
          ) : null}
        </Choice>
      ) : null}
      <Choice
        audience={{ kind: 'link', name: '' }}
        title={t('give.link')}
        hint={t('give.linkHint')}
        {...choice}
      >
        {value?.kind === 'link' ? (
          <TextField
            size="small"
            fullWidth
            label={t('give.linkName')}
            value={value.name}
            error={missing !== null && value.name.trim() === ''}
            helperText={value.name.trim() === '' ? missing : null}
            onChange={({ target }) => onChange({ kind: 'link', name: target.value })}
            slotProps={{ htmlInput: { maxLength: LONGEST_LINK_NAME } }}
          />
        ) : null}
      </Choice>
    </fieldset>
  )
}

interface ChoiceProps {
  readonly audience: Audience
  readonly title: string
  readonly hint: string
  readonly mayOpen: (kind: Audience['kind']) => boolean
  readonly isChosen: (kind: Audience['kind'], classId?: string) => boolean
  readonly onChange: (audience: Audience) => void
  /** What it asks more, once it is chosen. */
  readonly children?: ReactNode
}

function Choice({ audience, title, hint, mayOpen, isChosen, onChange, children }: ChoiceProps) {
  const { t } = useTranslation('access')
  const isAllowed = mayOpen(audience.kind)
  const isOn = isChosen(audience.kind, 'classId' in audience ? audience.classId : undefined)
  return (
    <div className={styles.choice} data-on={isOn} data-forbidden={!isAllowed}>
      <label>
        <input
          type="radio"
          name="audience"
          checked={isOn}
          disabled={!isAllowed}
          onChange={() => onChange(audience)}
        />
        <span>
          <b>{title}</b>
          <small>{isAllowed ? hint : t('give.forbidden')}</small>
        </span>
      </label>
      {children ? <div className={styles.more}>{children}</div> : null}
    </div>
  )
}
