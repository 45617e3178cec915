// Whoever holds a link, in the dialog.
import TextField from '@mui/material/TextField'
import { LONGEST_LINK_NAME } from '@valise/core/access'
import { useTranslation } from 'react-i18next'
import type { AudienceUi, ChoicesProps } from '../AudienceUi.ts'
import { Choice } from '../Choice.tsx'
import { LinkReady } from './LinkReady.tsx'

export const linkUi: AudienceUi<'link'> = {
  Choices,
  isComplete: ({ name }) => name.trim() !== '',
  // A link goes from hand to hand, so it is offered with an end; whoever wants none takes the day away.
  usualDays: 30,
  Given: LinkReady,
}

function Choices({ audiences, value, missing, onChange }: ChoicesProps<'link'>) {
  const { t } = useTranslation('access')
  const isEmpty = value?.name.trim() === ''
  return (
    <Choice
      title={t('give.link')}
      hint={t('give.linkHint')}
      isAllowed={audiences.allowed.includes('link')}
      isOn={value !== null}
      onChoose={() => onChange({ kind: 'link', name: '' })}
    >
      {value ? (
        <TextField
          size="small"
          fullWidth
          label={t('give.linkName')}
          value={value.name}
          error={missing !== null && isEmpty}
          helperText={isEmpty ? missing : null}
          onChange={({ target }) => onChange({ kind: 'link', name: target.value })}
          slotProps={{ htmlInput: { maxLength: LONGEST_LINK_NAME } }}
        />
      ) : null}
    </Choice>
  )
}
