// The receipt as it will look, the terms, and the act of handing in; its button says what it does with gaps.
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Link from '@mui/material/Link'
import { IconPackage } from '@tabler/icons-react'
import { gapsOf } from '@valise/core/submissions'
import type { HandIn } from '@valise/core/submissions'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate, useSearchParams } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import { useSession } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useReasonWords } from '../ui/useProblemWords.ts'
import { submissionQueries, useHandIn } from './queries.ts'
import { ReceiptSlip } from './ReceiptSlip.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
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
  const navigate = useNavigate()
  const client = useQueryClient()
  const [, setSearch] = useSearchParams()
  const { assignment, readiness, revision, decision } = handIn
  const send = useHandIn(assignment.id)
  const [agreed, setAgreed] = useState<readonly number[]>([])
  // The same for each press until it worked, so that one hand-in is made.
  const [key, setKey] = useState(() => crypto.randomUUID())
  const hintId = useId()
  const gaps = gapsOf(readiness)
  const musts = gaps.filter(({ requirement }) => requirement.weight === 'must').length
  const shoulds = gaps.length - musts
  const missing = [
    ...(musts > 0 ? [t('panel.musts', { count: musts })] : []),
    ...(shoulds > 0 ? [t('panel.shoulds', { count: shoulds })] : []),
  ]
  const isAgreed = agreed.length === assignment.terms.length
  const toggle = (n: number) =>
    setAgreed((some) => (some.includes(n) ? some.filter((one) => one !== n) : [...some, n]))
  const onHandIn = async () => {
    // What was typed a moment ago may still be on its way; what is handed in is what the server knows.
    await client.refetchQueries({ queryKey: submissionQueries.handIn(assignment.id).queryKey })
    const body = { gaps: gaps.map(({ requirement }) => requirement.id), terms: agreed.length, revision, key }
    send.mutate(body, {
      onSuccess: ({ id }) => void navigate(`/submissions/${id}`),
      onError: () => setKey(crypto.randomUUID()),
    })
  }
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
