// Beside an assignment: what came in for it, ending it, and removing one that nobody used.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import type { Assignment } from '@valise/core/assignments'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useEndAssignment } from './queries.ts'
import styles from './EndAssignment.module.css'

export function EndAssignment({ assignment }: { readonly assignment: Assignment }) {
  const { t } = useTranslation('assignments')
  const when = useWhen()
  const navigate = useNavigate()
  const end = useEndAssignment(assignment.id)
  const isEnded = assignment.endedAt !== null
  return (
    <div className={styles.panel}>
      <p>
        <Link component={RouterLink} to={`/review-desk/${assignment.id}`}>
          {t('end.toDesk')}
        </Link>
      </p>
      <h2>{t('end.title')}</h2>
      <p>
        {assignment.endedAt === null
          ? t('end.hint')
          : t('end.ended', { time: when.dayTime(assignment.endedAt) })}
      </p>
      <Button loading={end.isPending} onClick={() => end.mutate(isEnded ? 'open' : 'end')}>
        {t(isEnded ? 'end.again' : 'end.end')}
      </Button>
      <h2>{t('end.removeTitle')}</h2>
      <p>{t('end.removeHint')}</p>
      <Button
        loading={end.isPending}
        onClick={() => end.mutate('remove', { onSuccess: () => void navigate('/assignments') })}
      >
        {t('end.remove')}
      </Button>
      <Refusal error={end.error} />
    </div>
  )
}
