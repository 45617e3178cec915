// A caption: a line that stands under the item wherever a piece has none of its own.
import TextField from '@mui/material/TextField'
import { LONGEST_CAPTION } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useKeptText } from '../ui/useKeptText.ts'

interface CaptionFieldProps {
  readonly caption: string
  readonly isPicture: boolean
  readonly readOnly: boolean
  readonly onKeep: (caption: string) => void
}

export function CaptionField({ caption, isPicture, readOnly, onKeep }: CaptionFieldProps) {
  const { t } = useTranslation('evidence')
  const kept = useKeptText(caption, onKeep)
  return (
    <TextField
      label={t(isPicture ? 'drawer.caption' : 'drawer.captionPlain')}
      helperText={t('drawer.captionHint')}
      size="small"
      fullWidth
      value={kept.text}
      onChange={(event) => kept.change(event.target.value)}
      onBlur={kept.leave}
      slotProps={{ htmlInput: { maxLength: LONGEST_CAPTION, readOnly } }}
    />
  )
}
