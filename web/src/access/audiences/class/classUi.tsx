// Everybody in a class, in the dialog.
import { useTranslation } from 'react-i18next'
import type { AudienceUi, ChoicesProps } from '../AudienceUi.ts'
import { Choice } from '../Choice.tsx'

export const classUi: AudienceUi<'class'> = {
  Choices,
  isComplete: () => true,
  usualDays: null,
  Given: null,
}

function Choices({ audiences, value, onChange }: ChoicesProps<'class'>) {
  const { t } = useTranslation('access')
  return audiences.classes.map(({ id, name, people: count }) => (
    <Choice
      key={id}
      title={t('give.class', { class: name })}
      hint={t('give.people', { count })}
      isAllowed={audiences.allowed.includes('class')}
      isOn={value?.classId === id}
      onChoose={() => onChange({ kind: 'class', classId: id })}
    />
  ))
}
