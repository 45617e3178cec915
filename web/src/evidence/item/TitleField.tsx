// What is this? The title, written in its place; it keeps itself.
import TextField from '@mui/material/TextField'
import { LONGEST_TITLE } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSavedText } from '../../ui/useSavedText.ts'
import styles from './Fields.module.css'

interface TitleFieldProps {
  readonly title: string
  readonly readOnly: boolean
  readonly onSave: (title: string) => void
}

export function TitleField({ title, readOnly, onSave }: TitleFieldProps) {
  const { t } = useTranslation('evidence')
  const saved = useSavedText(title, onSave)
  return (
    <TextField
      className={styles.title ?? ''}
      label={t('drawer.whatIsThis')}
      helperText={t('drawer.titleHint')}
      size="small"
      multiline
      fullWidth
      value={saved.text}
      onChange={(event) => saved.change(event.target.value.replaceAll('\n', ' '))}
      onBlur={saved.leave}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return
        event.preventDefault()
        saved.leave()
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_TITLE, readOnly } }}
    />
  )
}
