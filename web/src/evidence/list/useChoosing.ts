// Which things are ticked, to do one thing with all of them. Apart from the tray, which carries.
import { MOST_CHOSEN } from '@valise/core/evidence'
import { useMemo, useState } from 'react'

export interface Choosing {
  readonly ids: readonly string[]
  has(id: string): boolean
  /** @param withShift whether all between the last ticked thing and this one go along */
  toggle(id: string, withShift: boolean): void
  chooseAll(ids: readonly string[]): void
  clear(): void
}

/**
 * @param order the ids as on the screen, for selecting a range
 */
export function useChoosing(order: readonly string[]): Choosing {
  const [ids, setIds] = useState<readonly string[]>([])
  const [last, setLast] = useState<string | null>(null)
  const chosen = useMemo(() => new Set(ids), [ids])
  return {
    ids,
    has: (id) => chosen.has(id),
    toggle: (id, withShift) => {
      const isOn = !chosen.has(id)
      const touched = withShift ? stretchBetween(order, last, id) : [id]
      const rest = ids.filter((one) => !touched.includes(one))
      setIds((isOn ? [...rest, ...touched] : rest).slice(0, MOST_CHOSEN))
      setLast(id)
    },
    chooseAll: (all) => setIds(all.slice(0, MOST_CHOSEN)),
    clear: () => setIds([]),
  }
}

function stretchBetween(order: readonly string[], a: string | null, b: string): readonly string[] {
  const [from, to] = [a === null ? -1 : order.indexOf(a), order.indexOf(b)]
  if (from === -1 || to === -1) return [b]
  return order.slice(Math.min(from, to), Math.max(from, to) + 1)
}
