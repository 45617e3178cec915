// Acts that keep their identity from render to render and always do what the newest ones would.
import { useLayoutEffect, useState } from 'react'
import { createStore } from './createStore.ts'

type Acts = Readonly<Record<string, (...values: never[]) => unknown>>

/** Returns stable functions for memoized components. Call them from events only. */
export function useStableActs<T extends Acts>(acts: T): T {
  const [newest] = useState(() => createStore<Acts>(acts))
  useLayoutEffect(() => newest.set(acts))
  const [stable] = useState(() => {
    const entries = Object.keys(acts).map((name) => [
      name,
      (...values: never[]) => newest.get()[name]?.(...values),
    ])
    // The same names with the same values as what came in; only the way there is longer.
    return Object.fromEntries(entries) as T
  })
  return stable
}
