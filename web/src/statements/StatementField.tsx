// What one says of an item, in its place: read, and written on where it stands.
import Button from '@mui/material/Button'
import { IconPencil } from '@tabler/icons-react'
import type { Evidence } from '@valise/core/evidence'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { StatementWriting } from './StatementWriting.tsx'
import styles from './Statement.module.css'

interface StatementFieldProps {
  readonly item: Pick<Evidence, 'id' | 'statement'>
  readonly readOnly: boolean
}

export function StatementField({ item: { id, statement }, readOnly }: StatementFieldProps) {
  const { t } = useTranslation('evidence')
  const [isWriting, setIsWriting] = useState(false)
  const headingId = useId()
  const isEmpty = statement === ''
  if (isEmpty && readOnly) return null
  return (
    <section className={styles.field} aria-labelledby={headingId}>
      <h2 id={headingId}>{t('statement.title')}</h2>
      {isWriting ? (
        <StatementWriting id={id} label={t('statement.title')} />
      ) : (
        <>
          {isEmpty ? null : <p className={styles.told}>{statement}</p>}
          {readOnly ? null : (
            <Button
              className={isEmpty ? (styles.begin ?? '') : ''}
              variant={isEmpty ? 'outlined' : 'text'}
              size="small"
              startIcon={<IconPencil size={18} stroke={1.7} />}
              onClick={() => setIsWriting(true)}
            >
              {t(isEmpty ? 'statement.begin' : 'statement.goOn')}
            </Button>
          )}
        </>
      )}
    </section>
  )
}
