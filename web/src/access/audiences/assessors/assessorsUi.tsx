// The assessors of a class, in the dialog.
import { useTranslation } from 'react-i18next'
import type { AudienceUi, ChoicesProps } from '../AudienceUi.ts'
import { Choice } from '../Choice.tsx'

export const assessorsUi: AudienceUi<'assessors'> = {
  Choices,
  isComplete: () => true,
  usualDays: null,
  Given: null,
}

function Choices({ audiences, value, onChange }: ChoicesProps<'assessors'>) {
  const { t } = useTranslation('access')
  return audiences.classes.map(({ id, name, assessors }) => (
    <Choice
      key={id}
      title={t('give.assessors', { class: name })}
      hint={assessors.map((one) => one.name).join(', ') || t('give.noAssessors')}
      isAllowed={audiences.allowed.includes('assessors')}
      isOn={value?.classId === id}
      onChoose={() => onChange({ kind: 'assessors', classId: id })}
    />
  ))
}
