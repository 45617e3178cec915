// What became of the last hand-in, on top of the screen where the next one is prepared.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { HandIn } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Refusal } from '../ui/Refusal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useTakeBack } from './acts.ts'
import { submissionQueries } from './queries.ts'
import { StateMark } from './StateMark.tsx'
import { NumberMark, StayingMarks } from './StayingMarks.tsx'
import styles from './Submit.module.css'

export function LatestHandIn({ handIn: { latest } }: { readonly handIn: HandIn }) {
  const { t } = useTranslation('submissions')
  const when = useWhen()
  const back = useTakeBack()
  if (latest === null) return null
  const mayTakeBack =
    latest.state === 'sealing' || (latest.state === 'with-assessor' && latest.openedAt === null)
  return (
    <section className={styles.latest} data-state={latest.state} aria-label={t('latest.label')}>
      <p>
        <StateMark row={latest} /> <NumberMark number={latest.number} /> <StayingMarks row={latest} />
      </p>
      <p>
        {t('latest.handedIn', { time: when.dayTime(latest.requestedAt) })}{' '}
        <Link component={RouterLink} to={`/submissions/${latest.id}`}>
          {t('latest.open')}
        </Link>
      </p>
      {latest.state === 'changes-asked' ? <Request id={latest.id} /> : null}
      {mayTakeBack ? (
        <Button size="small" loading={back.isPending} onClick={() => back.mutate(latest.id)}>
          {t('latest.takeBack')}
        </Button>
      ) : null}
      <Refusal error={back.error} />
    </section>
  )
}

/** The sentence with which changes were asked for, where they are made. */
function Request({ id }: { readonly id: string }) {
  const feedback = useQuery(submissionQueries.feedback(id))
  const asked = feedback.data?.filter(({ isRequest }) => isRequest).at(-1)
  if (!asked) return null
  return (
    <blockquote className={styles.request}>
      <p>{asked.text}</p>
      <footer>{asked.authorName}</footer>
    </blockquote>
  )
}
