// The one field that a new thing asks for: its title, and the first draft of what is heard in its place.
import TextField from '@mui/material/TextField'
import { LONGEST_TITLE } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import type { SavedText } from '../../ui/useSavedText.ts'

interface WhatIsThisProps {
  readonly saved: SavedText
  /** What sort of thing it is, for those who hear the field. */
  readonly name: string
  readonly isFocused: boolean
}

export function WhatIsThis({ saved, name, isFocused }: WhatIsThisProps) {
  const { t } = useTranslation('evidence')
  return (
    <TextField
      label={t('drawer.whatIsThis')}
      placeholder={t('drawer.titleHint')}
      size="small"
      fullWidth
      autoFocus={isFocused}
      value={saved.text}
      onChange={(event) => saved.change(event.target.value)}
      onBlur={saved.leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') saved.leave()
      }}
      slotProps={{
        htmlInput: { maxLength: LONGEST_TITLE, 'aria-label': `${t('drawer.whatIsThis')} ${name}` },
      }}
    />
  )
}
