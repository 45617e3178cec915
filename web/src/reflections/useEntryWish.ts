// Which entries of a logbook are looked at, as the address says it, so that going back finds the same again.
import { entryMarks } from '@valise/core/reflections'
import { useSearchParams } from 'react-router'
import type { EntryWish } from './queries.ts'

const names = ['words', 'tag', 'from', 'until', 'sheetId'] as const

export type WishChange = Partial<Record<(typeof names)[number] | 'mark' | 'order' | 'reading', string | null>>

export function useEntryWish(logbookId: string) {
  const [params, setParams] = useSearchParams()
  const given = names.flatMap((name) => {
    const value = params.get(name)
    return value === null ? [] : [[name, value] as const]
  })
  const mark = entryMarks.find((one) => one === params.get('mark'))
  const wish: EntryWish = {
    logbookId,
    ...Object.fromEntries(given),
    ...(mark && { mark }),
    ...(params.get('order') === 'oldest' && { order: 'oldest' }),
  }
  const change = (next: WishChange) =>
    setParams(
      (before) => {
        for (const [name, value] of Object.entries(next)) {
          if (value === null || value === '') before.delete(name)
          else before.set(name, value)
        }
        return before
      },
      { replace: true },
    )
  return {
    wish,
    isNarrowed: given.length > 0 || mark !== undefined,
    isReading: params.get('reading') !== null,
    change,
  }
}
