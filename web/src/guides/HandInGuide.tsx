// What becomes of a copy that is handed in: when that happens by itself, what was handed in, or that it failed and is done by
// hand.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import { mustHandIn } from '@valise/core/guides'
import type { GuideCopy } from '@valise/core/guides'
import { gapsOf } from '@valise/core/submissions'
import type { HandIn } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import type { OpenDraft } from '../saving/index.ts'
import { LatestHandIn, submissionQueries, useHandingIn, useSubmissionWords } from '../submissions/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useReasonWords } from '../ui/useProblemWords.ts'
import styles from './Guides.module.css'

interface HandInGuideProps {
  readonly copy: GuideCopy
  readonly delivery: OpenDraft['delivery']
}

export function HandInGuide({ copy, delivery }: HandInGuideProps) {
  const { assignmentId, isEnded } = copy
  const handIn = useQuery({
    ...submissionQueries.handIn(assignmentId ?? ''),
    enabled: assignmentId !== null && !isEnded,
  })
  if (!handIn.data) return null
  return <Act copy={copy} handIn={handIn.data} isSaved={delivery === 'delivered'} />
}

interface ActProps {
  readonly copy: GuideCopy
  readonly handIn: HandIn
  /** Whether all of it is on the server: what is handed in is what the server knows. */
  readonly isSaved: boolean
}

function Act({ copy, handIn, isSaved }: ActProps) {
  const { t } = useTranslation('guides')
  const words = useSubmissionWords()
  const reasonWords = useReasonWords()
  const { send, onHandIn } = useHandingIn(handIn)
  const gaps = gapsOf(handIn.readiness)
  const { decision } = handIn
  const isWithAssessor = decision.reason === 'with-assessor' || decision.reason === 'still-sealing'
  return (
    <section className={styles.handIn} aria-label={t('handIn.label')} data-failed={mustHandIn(copy)}>
      <LatestHandIn handIn={handIn} />
      {isWithAssessor || decision.reason === 'already-accepted' ? null : (
        <>
          <p>
            {gaps.length === 0
              ? t('handIn.ready')
              : t('handIn.missing', {
                  list: words.list(gaps.map(({ requirement }) => words.wanted(requirement))),
                })}
          </p>
          <Button
            variant={mustHandIn(copy) || gaps.length === 0 ? 'contained' : 'outlined'}
            color={mustHandIn(copy) || gaps.length === 0 ? 'primary' : 'inherit'}
            disabled={!decision.allowed || !isSaved}
            loading={send.isPending}
            onClick={() => void onHandIn()}
          >
            {t(gaps.length === 0 ? 'handIn.now' : 'handIn.withGaps', { count: gaps.length })}
          </Button>
          {decision.reason === null ? null : <p>{reasonWords(decision.reason, decision.params)}</p>}
        </>
      )}
      <Refusal error={send.error} />
    </section>
  )
}
