// The receipt as it will look, the terms, and the act of handing in; its button says what it does with gaps.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Link from '@mui/material/Link'
import { IconPackage } from '@tabler/icons-react'
import type { HandIn } from '@valise/core/submissions'
import { useId } from 'react'
import { useTranslation } from 'react-i18next'
import { useSearchParams } from 'react-router'
import { useSession } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useReasonWords } from '../ui/useProblemWords.ts'
import { ReceiptSlip } from './ReceiptSlip.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import { useHandingIn } from './useHandingIn.ts'
import styles from './HandInPanel.module.css'

export function HandInPanel({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const session = useSession()
  const { assignment, totals, assessors, decision } = handIn
  return (
    <section className={styles.panel} aria-label={t('panel.label')}>
      <ReceiptSlip
        heading={t('panel.preview')}
        title={words.title(assignment.title)}
        from={session.fullName}
        to={`${words.list(assessors)}, ${assignment.classCode}`}
        parts={t('panel.parts', {
          count: totals.parts,
          files: t('parts.files', { count: totals.files }),
        })}
        sealed={null}
      />
      {decision.reason === 'with-assessor' || decision.reason === 'still-sealing' ? null : (
        <Act handIn={handIn} />
      )}
    </section>
  )
}

function Act({ handIn }: { readonly handIn: HandIn }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const reasonWords = useReasonWords()
  const [, setSearch] = useSearchParams()
  const hintId = useId()
  const { send, agreed, gaps, musts, missing, isAgreed, toggle, onHandIn } = useHandingIn(handIn)
  const { assignment, decision } = handIn
  const [first] = gaps
  return (
    <div className={styles.act}>
      {assignment.terms.length > 0 ? (
        <fieldset className={styles.terms}>
          <legend>{t('panel.agree')}</legend>
          {assignment.terms.map((term, n) => (
            <label key={n}>
              <Checkbox size="small" checked={agreed.includes(n)} onChange={() => toggle(n)} />
              <span>{words.title(term)}</span>
            </label>
          ))}
        </fieldset>
      ) : null}
      <Button
        size="large"
        fullWidth
        variant={decision.allowed && musts === 0 && isAgreed ? 'contained' : 'outlined'}
        color={decision.allowed && musts === 0 && isAgreed ? 'primary' : 'inherit'}
        disabled={!decision.allowed || !isAgreed}
        aria-describedby={hintId}
        loading={send.isPending}
        startIcon={<IconPackage size={18} stroke={1.7} />}
        onClick={() => void onHandIn()}
      >
        {gaps.length > 0 && decision.allowed
          ? t('panel.withGaps', { count: gaps.length })
          : t('panel.handIn')}
      </Button>
      <p id={hintId} className={styles.hint}>
        {decision.reason === null ? (
          <>
            {isAgreed ? null : `${t('panel.agreeFirst')} `}
            {gaps.length > 0 ? t('panel.missing', { list: words.list(missing) }) : t('panel.ready')}
          </>
        ) : (
          reasonWords(decision.reason, decision.params)
        )}{' '}
        {first ? (
          <Link
            component="button"
            type="button"
            onClick={() => setSearch({ mend: first.requirement.id }, { replace: true })}
          >
            {t('panel.first')}
          </Link>
        ) : null}
      </p>
      <Refusal error={send.error} />
    </div>
  )
}
