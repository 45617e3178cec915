// What the query of the address finds, and the item that is open in it.
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { useEffect, useRef } from 'react'
import { useNavigate, useParams } from 'react-router'
import { fetchMore } from '../../ui/fetchMore.ts'
import { hasLostFocus } from '../../ui/useRefocus.ts'
import { useOfferBack } from '../item/index.ts'
import { evidenceQueries, useEvidenceWords } from '../base/index.ts'
import { useChoosing } from './useChoosing.ts'
import { useEvidenceQuery } from './useEvidenceQuery.ts'

export function useFoundEvidence() {
  const { id: openId = null } = useParams()
  const state = useEvidenceQuery()
  const { query, search } = state
  const list = useInfiniteQuery({ ...evidenceQueries.found(query), placeholderData: (before) => before })
  const counts = useQuery({ ...evidenceQueries.counts(query), placeholderData: (before) => before }).data
  const opened = useQuery({ ...evidenceQueries.one(openId ?? ''), enabled: openId !== null })
  const items = list.data?.pages.flatMap((page) => page.items) ?? []
  const choosing = useChoosing(items.map(({ id }) => id))
  const offerBack = useOfferBack()
  const { toggle, close } = useOpening(openId, search)
  const evidenceWords = useEvidenceWords()
  const count = list.data?.pages[0]?.count ?? 0

  const onBinned = (item: Evidence) => {
    offerBack([item.id])
    close()
  }
  const onEnd = () => {
    if (list.hasNextPage && !list.isFetchingNextPage) void fetchMore(list)
  }
  return {
    openId,
    state,
    list,
    counts,
    opened,
    items,
    choosing,
    offerBack,
    toggle,
    close,
    evidenceWords,
    count,
    onBinned,
    onEnd,
  }
}

/** Opening an item keeps the query; closing it gives the focus back to its tile. */
function useOpening(openId: string | null, search: string) {
  const navigate = useNavigate()
  const before = useRef(openId)
  // However it is closed, by its button, by Escape or by going back.
  useEffect(() => {
    const closed = before.current
    before.current = openId
    if (closed === null || openId !== null) return
    const timer = setTimeout(() => {
      if (hasLostFocus()) document.querySelector<HTMLElement>(`[data-tile="${closed}"]`)?.focus()
    })
    return () => clearTimeout(timer)
  }, [openId])
  const close = () => void navigate({ pathname: '/evidence', search }, { replace: true })
  const toggle = (id: string) =>
    id === openId
      ? close()
      : void navigate({ pathname: `/evidence/${id}`, search }, { replace: openId !== null })
  return { close, toggle }
}
