// A caption: a line that stands under the item wherever a piece has none of its own.
import TextField from '@mui/material/TextField'
import { LONGEST_CAPTION } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSavedText } from '../../ui/useSavedText.ts'

interface CaptionFieldProps {
  readonly caption: string
  readonly isPicture: boolean
  readonly readOnly: boolean
  readonly onSave: (caption: string) => void
}

export function CaptionField({ caption, isPicture, readOnly, onSave }: CaptionFieldProps) {
  const { t } = useTranslation('evidence')
  const saved = useSavedText(caption, onSave)
  return (
    <TextField
      label={t(isPicture ? 'drawer.caption' : 'drawer.captionPlain')}
      helperText={t('drawer.captionHint')}
      size="small"
      fullWidth
      value={saved.text}
      onChange={(event) => saved.change(event.target.value)}
      onBlur={saved.leave}
      slotProps={{ htmlInput: { maxLength: LONGEST_CAPTION, readOnly } }}
    />
  )
}
