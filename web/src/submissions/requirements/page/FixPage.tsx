// A page that still lacks something: going to the one that comes nearest, or choosing another.
import Link from '@mui/material/Link'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { AddPart } from '../../AddPart.tsx'
import { useChoose } from '../../acts.ts'
import styles from '../../Readiness.module.css'
import type { FixProps } from '../RequirementUi.ts'

export function FixPage({ checked: { result }, handIn }: FixProps<'page'>) {
  const { t } = useTranslation('submissions')
  const choose = useChoose(handIn.assignment.id)
  const nearest = handIn.parts.find(({ kind, title }) => kind === 'page' && title === result.page)
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
