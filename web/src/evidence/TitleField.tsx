// What is this? The title, written in its place; it keeps itself.
import TextField from '@mui/material/TextField'
import { LONGEST_TITLE } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useKeptText } from '../ui/useKeptText.ts'
import styles from './Fields.module.css'

interface TitleFieldProps {
  readonly title: string
  readonly readOnly: boolean
  readonly onKeep: (title: string) => void
}

export function TitleField({ title, readOnly, onKeep }: TitleFieldProps) {
  const { t } = useTranslation('evidence')
  const kept = useKeptText(title, onKeep)
  return (
    <TextField
      className={styles.title ?? ''}
      label={t('drawer.whatIsThis')}
      helperText={t('drawer.titleHint')}
      size="small"
      multiline
      fullWidth
      value={kept.text}
      onChange={(event) => kept.change(event.target.value.replaceAll('\n', ' '))}
      onBlur={kept.leave}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return
        event.preventDefault()
        kept.leave()
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_TITLE, readOnly } }}
    />
  )
}
