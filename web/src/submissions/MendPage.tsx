// Mending a page that lacks something: choosing another, or going to the one that comes nearest.
import Link from '@mui/material/Link'
import type { HandIn, ReadinessLine } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { AddPart } from './AddPart.tsx'
import { useChoose } from './queries.ts'
import styles from './Readiness.module.css'

interface MendPageProps {
  readonly line: Extract<ReadinessLine, { kind: 'page' }>
  readonly handIn: HandIn
}

export function MendPage({ line, handIn }: MendPageProps) {
  const { t } = useTranslation('submissions')
  const choose = useChoose(handIn.assignment.id)
  const nearest = handIn.parts.find(({ kind, title }) => kind === 'page' && title === line.page)
  return (
    <>
      {nearest ? (
        <p className={styles.lead}>
          {t('mend.goTo')}{' '}
          <Link component={RouterLink} to={`/pages/${nearest.id}`}>
            {nearest.title || t('untitled')}
          </Link>
          . {t('mend.orOther')}
        </p>
      ) : (
        <p className={styles.lead}>{t('mend.choosePage')}</p>
      )}
      <AddPart
        assignmentId={handIn.assignment.id}
        parts={handIn.parts}
        onAdd={(added) => choose.mutate((all) => [...all, ...added])}
      />
    </>
  )
}
