// A copy as its readers see it now: by stages, with feedback where it is said. Its owner looks with the same eyes.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { GuideCopyReading } from '@valise/core/guides'
import { IconPencil } from '@tabler/icons-react'
import { useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useLocation, useParams } from 'react-router'
import { Fetched } from '../ui/Fetched.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { FeedbackList } from './FeedbackList.tsx'
import { guideQueries } from './queries.ts'
import { SayFeedback } from './SayFeedback.tsx'
import { useGuideWords } from './useGuideWords.ts'
import styles from './Guides.module.css'
import '@valise/core/pages/paper.css'

export function GuideReadingScreen() {
  const { t } = useTranslation(['guides', 'app'])
  const words = useGuideWords()
  const when = useWhen()
  const { id = '' } = useParams()
  const reading = useQuery(guideQueries.reading(id))
  const { data } = reading
  const title = data ? words.text(data.content.title) : t('app:places.guides')
  return (
    <Screen
      place={title}
      parent={data && !data.isMine ? data.ownerName : t('app:places.guides')}
      within="guides"
      sentence={title}
      {...(data && {
        lead: t(leadOf(data), {
          name: data.ownerName,
          time: when.dayTime(data.changedAt),
        }),
      })}
      {...(data?.isMine && {
        act: (
          <Button
            component={RouterLink}
            to={`/guide-copies/${id}`}
            startIcon={<IconPencil size={18} stroke={1.7} />}
          >
            {t('reading.back')}
          </Button>
        ),
      })}
    >
      <Fetched query={reading}>{(copy) => <Reading copy={copy} />}</Fetched>
    </Screen>
  )
}

/** Whether one looks at one’s own, and whether others see it already. */
function leadOf({ isMine, reading, latest }: GuideCopyReading) {
  if (!isMine) return 'reading.lead'
  return reading === 'followed' || latest !== null ? 'reading.mine' : 'reading.mineSealed'
}

function Reading({ copy }: { readonly copy: GuideCopyReading }) {
  const { t } = useTranslation('guides')
  useScrollToStage()
  const { feedback, stages, pages, mayGiveFeedback } = copy
  return (
    <div className={styles.reading}>
      {stages.map((stage) => (
        <StageRead key={stage.id ?? 'earlier'} copy={copy} stage={stage} />
      ))}
      {pages.map(({ title, html }, n) => (
        <section key={n} className={styles.stage} aria-label={title}>
          {/* The core's renderer builds it from known parts and escapes all text. */}
          <div dangerouslySetInnerHTML={{ __html: html }} />
        </section>
      ))}
      <section className={styles.stage} aria-label={t('feedback.whole')}>
        <h2>{t('feedback.whole')}</h2>
        <FeedbackList feedback={feedback.filter(({ stageId }) => stageId === null)} />
        {mayGiveFeedback ? <SayFeedback copyId={copy.id} stageId={null} pieceId={null} /> : null}
        {!mayGiveFeedback && feedback.length === 0 ? <p>{t('feedback.none')}</p> : null}
      </section>
    </div>
  )
}

interface StageReadProps {
  readonly copy: GuideCopyReading
  readonly stage: GuideCopyReading['stages'][number]
}

function StageRead({ copy, stage }: StageReadProps) {
  const { t } = useTranslation('guides')
  const words = useGuideWords()
  const { id, name, progress, changedAfterClose, questions } = stage
  const of = (pieceId: string | null) =>
    copy.feedback.filter((one) => one.stageId === id && one.pieceId === pieceId)
  return (
    <section className={styles.stage} id={`stage-${id}`} data-progress={progress}>
      <h2>{id === null ? t('copy.earlier') : words.text(name) || t('stage.untitled')}</h2>
      <p className={styles.times}>
        {id === null ? t('copy.earlierHint') : t(`progress.${progress}`)}
        {changedAfterClose ? ` · ${t('reading.afterClose')}` : ''}
      </p>
      {questions.map(({ pieceId, asks, isBlank, html }) => (
        <div key={pieceId} className={styles.read}>
          {isBlank ? (
            <>
              <h3>{words.text(asks)}</h3>
              <p className={styles.blank}>{t('reading.blank')}</p>
            </>
          ) : (
            // The core's renderer builds it from known parts and escapes all text.
            <div className="paper" dangerouslySetInnerHTML={{ __html: html }} />
          )}
          <FeedbackList feedback={of(pieceId)} />
          {copy.mayGiveFeedback && id !== null ? (
            <SayFeedback copyId={copy.id} stageId={id} pieceId={pieceId} about={words.text(asks)} />
          ) : null}
        </div>
      ))}
      <FeedbackList feedback={of(null)} />
      {copy.mayGiveFeedback && id !== null ? (
        <SayFeedback copyId={copy.id} stageId={id} pieceId={null} about={words.text(name)} />
      ) : null}
    </section>
  )
}

/** A cell of the table leads to its stage. */
function useScrollToStage(): void {
  const { hash } = useLocation()
  useEffect(() => {
    if (hash) document.querySelector(hash)?.scrollIntoView()
  }, [hash])
}
