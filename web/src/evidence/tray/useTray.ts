// What lies in the tray, and the act that changes it.
import type { EvidenceRow } from '@valise/core/evidence'
import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { trayQueries, useCarry } from '../base/index.ts'

export interface TrayContent {
  holds(item: EvidenceRow): boolean
  /** Puts a thing in, or takes it out again. */
  toggle(item: EvidenceRow): void
}

export function useTray(): TrayContent {
  const { data } = useQuery(trayQueries.all())
  const { mutate } = useCarry()
  return useMemo(() => {
    const ids = data && new Set(data.map(({ id }) => id))
    const holds = (item: EvidenceRow) => ids?.has(item.id) ?? item.inTray
    return { holds, toggle: (item) => mutate({ item, into: !holds(item) }) }
  }, [data, mutate])
}
