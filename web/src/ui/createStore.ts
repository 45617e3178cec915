// A value outside React that components can follow.
import { useSyncExternalStore } from 'react'

export interface Store<T> {
  get(): T
  set(next: T): void
  /** The value, following every change. */
  use(): T
}

export function createStore<T>(initial: T): Store<T> {
  let value = initial
  const listeners = new Set<() => void>()
  const subscribe = (listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }
  const get = () => value
  return {
    get,
    set: (next) => {
      value = next
      for (const listener of listeners) listener()
    },
    // The third is for rendering without a browser, as tests do.
    use: () => useSyncExternalStore(subscribe, get, get),
  }
}
