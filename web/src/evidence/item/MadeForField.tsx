// The class and the assignment that it was made for: a label that can be changed, never a wall.
import type { Evidence, EvidenceChange } from '@valise/core/evidence'
import { textIn } from '@valise/core/people'
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useSession } from '../../session/index.ts'
import { SelectField } from '../../ui/SelectField.tsx'
import styles from './Fields.module.css'

interface MadeForFieldProps {
  readonly item: Evidence
  readonly readOnly: boolean
  readonly onSave: (change: Pick<EvidenceChange, 'classId' | 'assignmentId'>) => void
}

export function MadeForField({ item, readOnly, onSave }: MadeForFieldProps) {
  const { t, i18n } = useTranslation('evidence')
  const { memberships } = useSession()
  const { classId, className, assignment } = item
  const isElsewhere = classId !== null && !memberships.some((one) => one.classId === classId)
  return (
    <div className={styles.form}>
      {assignment === null ? null : (
        <Link component={RouterLink} to={`/assignments/${assignment.id}`}>
          {textIn(assignment.title, i18n.language)}
        </Link>
      )}
      {readOnly || memberships.length === 0 ? (
        <span>{className ?? t('drawer.noClass')}</span>
      ) : (
        <SelectField
          label={t('drawer.class')}
          value={classId ?? ''}
          choices={[
            ['', t('drawer.noClass')],
            ...memberships.map((one) => [one.classId, one.className] as const),
            ...(isElsewhere ? [[classId, className ?? ''] as const] : []),
          ]}
          onChange={(next) => onSave({ classId: next === '' ? null : next, assignmentId: null })}
          fullWidth
        />
      )}
    </div>
  )
}
