// Handing in: what is still missing, what has to be agreed to, and sending it once.
import { useTranslation } from 'react-i18next'
import { gapsOf } from '@valise/core/submissions'
import type { HandIn } from '@valise/core/submissions'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { useQueryClient } from '@tanstack/react-query'
import { useHandIn } from './acts.ts'
import { submissionQueries } from './queries.ts'

export function useHandingIn(handIn: HandIn) {
  const { t } = useTranslation('submissions')
  const navigate = useNavigate()
  const client = useQueryClient()
  const { assignment, readiness, revision } = handIn
  const send = useHandIn(assignment.id)
  const [agreed, setAgreed] = useState<readonly number[]>([])
  // The same for each press until it worked, so that one hand-in is made.
  const [key, setKey] = useState(() => crypto.randomUUID())
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
  return { send, agreed, gaps, musts, missing, isAgreed, toggle, onHandIn }
}
