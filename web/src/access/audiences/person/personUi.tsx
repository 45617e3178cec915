// One person, in the dialog.
import { useTranslation } from 'react-i18next'
import { SelectField } from '../../../ui/SelectField.tsx'
import type { AudienceUi, ChoicesProps } from '../AudienceUi.ts'
import { Choice } from '../Choice.tsx'

export const personUi: AudienceUi<'person'> = {
  Choices,
  isComplete: ({ personId }) => personId !== '',
  usualDays: null,
  Given: null,
}

function Choices({ audiences: { people, allowed }, value, missing, onChange }: ChoicesProps<'person'>) {
  const { t } = useTranslation('access')
  if (people.length === 0) return null
  return (
    <Choice
      title={t('give.person')}
      hint={t('give.personHint')}
      isAllowed={allowed.includes('person')}
      isOn={value !== null}
      onChoose={() => onChange({ kind: 'person', personId: '' })}
    >
      {value ? (
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
  )
}
