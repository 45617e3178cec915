// All guides of a student in one place: what is set for their classes, and what they have begun.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { mustHandIn } from '@valise/core/guides'
import type { GuideRow } from '@valise/core/guides'
import { screenOf } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { StateMark } from '../submissions/index.ts'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { HowRead } from './HowRead.tsx'
import { guideQueries } from './queries.ts'
import { useStart } from './starting.ts'
import { StageRoute } from './StageRoute.tsx'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'

export function GuideCopiesScreen() {
  const { t } = useTranslation(['guides', 'app'])
  const guides = useQuery(guideQueries.mine())
  const open = (guides.data ?? []).reduce((sum, guide) => sum + (isToDo(guide) ? 1 : 0), 0)
  return (
    <Screen
      place={t('app:places.guides')}
      parent={t('app:stops.gather')}
      sentence={guides.data ? t('mine.sentence', { count: open }) : t('app:places.guides')}
      lead={t('mine.lead')}
    >
      <Fetched query={guides}>
        {(rows) =>
          rows.length === 0 ? (
            <Empty>{t('mine.empty')}</Empty>
          ) : (
            <ul className={styles.guides}>
              {rows.map((guide) => (
                <GuideCard key={guide.guideId} guide={guide} />
              ))}
            </ul>
          )
        }
      </Fetched>
    </Screen>
  )
}

/** Whether somebody can go on in it now. */
function isToDo({ isEnded, latest, stages }: GuideRow): boolean {
  const isWithAssessor = latest !== null && latest.state !== 'taken-back' && latest.state !== 'changes-asked'
  return (
    !isEnded &&
    !isWithAssessor &&
    stages.some(({ phase, progress }) => phase === 'open' && progress !== 'done')
  )
}

function GuideCard({ guide }: { readonly guide: GuideRow }) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const navigate = useNavigate()
  const start = useStart()
  const { guideId, copyId, latest } = guide
  const title = words.text(guide.title)
  const about = words.text(guide.about)
  return (
    <li className={styles.guideCard} data-begun={copyId !== null} data-ended={guide.isEnded}>
      <div>
        <h2>
          {copyId === null ? (
            title
          ) : (
            <Link component={RouterLink} to={screenOf('guideCopy', copyId)}>
              {title}
            </Link>
          )}
        </h2>
        {about ? <p>{about}</p> : null}
        <p className={styles.how}>
          <HowRead guide={guide} />
        </p>
        {mustHandIn(guide) ? <p className={styles.failed}>{t('handIn.failed')}</p> : null}
        {latest ? <StateMark row={latest} /> : null}
        <Refusal error={start.error} />
        {copyId === null ? (
          <Button
            variant="contained"
            color="primary"
            loading={start.isPending}
            aria-label={t('mine.startOf', { title })}
            onClick={() =>
              start.mutate(guideId, { onSuccess: ({ id }) => void navigate(screenOf('guideCopy', id)) })
            }
          >
            {t('mine.start')}
          </Button>
        ) : (
          <Button
            component={RouterLink}
            to={screenOf('guideCopy', copyId)}
            variant={isToDo(guide) || mustHandIn(guide) ? 'contained' : 'outlined'}
            color="primary"
            aria-label={t('mine.openOf', { title })}
          >
            {t('mine.open')}
          </Button>
        )}
      </div>
      <StageRoute stages={guide.stages} shownId={null} onShow={null} />
    </li>
  )
}
