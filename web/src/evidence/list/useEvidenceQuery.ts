// The search of the evidence screen: it is in the address, so that it can be saved, sent and returned to.
import { queryNames, readEvidenceQuery, writeEvidenceQuery } from '@valise/core/evidence'
import type { EvidenceQuery } from '@valise/core/evidence'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'

export const evidenceViews = ['grid', 'time', 'table'] as const
export type EvidenceView = (typeof evidenceViews)[number]

export interface EvidenceQueryState {
  readonly query: EvidenceQuery
  readonly view: EvidenceView
  /** What stands behind the question mark of the address, without the mark. */
  readonly search: string
  change(change: Partial<EvidenceQuery>): void
  show(view: EvidenceView): void
}

export function useEvidenceQuery(): EvidenceQueryState {
  const [parameters, setParameters] = useSearchParams()
  const search = parameters.toString()
  const query = useMemo(() => {
    const read = new URLSearchParams(search)
    return readEvidenceQuery(
      Object.fromEntries(queryNames.map((name) => [name, read.get(name) ?? undefined])),
    )
  }, [search])
  const view = evidenceViews.find((one) => one === parameters.get('view')) ?? 'grid'
  const set = (next: EvidenceQuery, nextView: EvidenceView) =>
    // Words are typed sign by sign: each step back would be one of them.
    setParameters(toSearch(next, nextView), { replace: true, preventScrollReset: true })
  return {
    query,
    view,
    search,
    change: (change) => set({ ...query, ...change }, view),
    show: (next) => set(query, next),
  }
}

/** Returns the address of a search and of its view. */
export function toSearch(query: EvidenceQuery, view: EvidenceView = 'grid'): URLSearchParams {
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries(writeEvidenceQuery(query))) if (value) search.set(name, value)
  if (view !== 'grid') search.set('view', view)
  return search
}
