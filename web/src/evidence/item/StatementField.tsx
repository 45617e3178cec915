// The student's own text about an item, written in its place; it keeps itself.
import TextField from '@mui/material/TextField'
import { LONGEST_STATEMENT } from '@valise/core/evidence'
import { useTranslation } from 'react-i18next'
import { useSavedText } from '../../ui/useSavedText.ts'
import styles from './Fields.module.css'

interface StatementFieldProps {
  readonly statement: string
  readonly readOnly: boolean
  readonly onSave: (statement: string) => void
}

export function StatementField({ statement, readOnly, onSave }: StatementFieldProps) {
  const { t } = useTranslation('evidence')
  const saved = useSavedText(statement, onSave)
  return (
    <TextField
      className={styles.statement ?? ''}
      label={t('drawer.statement')}
      helperText={t('drawer.statementHint')}
      size="small"
      multiline
      maxRows={10}
      fullWidth
      value={saved.text}
      onChange={(event) => saved.change(event.target.value)}
      onBlur={saved.leave}
      slotProps={{ htmlInput: { maxLength: LONGEST_STATEMENT, readOnly } }}
    />
  )
}
