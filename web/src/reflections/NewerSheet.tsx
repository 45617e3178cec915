// Says that the questions of an entry were changed since it was begun, and offers the new ones.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { SheetReference } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { sheetQueries } from '../sheets/index.ts'
import styles from './EntryEditor.module.css'

interface NewerSheetProps {
  readonly sheet: SheetReference | null
  readonly onTake: (sheetId: string) => void
}

export function NewerSheet({ sheet, onTake }: NewerSheetProps) {
  const { t } = useTranslation('reflections')
  const { data = [] } = useQuery(sheetQueries.list())
  const newest = data.find(({ id }) => id === sheet?.id)
  if (!sheet || !newest || newest.n <= sheet.n) return null
  return (
    <p className={styles.newer}>
      {t('entry.newerSheet')}{' '}
      <Button variant="text" onClick={() => onTake(sheet.id)}>
        {t('entry.takeNewer')}
      </Button>
    </p>
  )
}
