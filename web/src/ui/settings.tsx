// What the parts of the interface need to know of school and person. The shell says it; the parts ask no room for it.
import type { Zone } from '@valise/core/time'
import { createContext, use, useMemo } from 'react'
import type { ReactNode } from 'react'

export interface UiSettings {
  /** The zone of the school, in which instants are read. */
  readonly timeZone: Zone
  /** Whether keys without Ctrl or Alt do something; false while nobody is signed in. */
  readonly letterKeys: boolean
}

const Settings = createContext<UiSettings | null>(null)

export function UiSettingsProvider({
  timeZone,
  letterKeys,
  children,
}: UiSettings & { readonly children: ReactNode }) {
  // The same as long as both stay: every list that says a time hears of a new one.
  const settings = useMemo(() => ({ timeZone, letterKeys }), [timeZone, letterKeys])
  return <Settings value={settings}>{children}</Settings>
}

/** @throws Error outside of the shell, where nobody has said it */
export function useUiSettings(): UiSettings {
  const settings = use(Settings)
  if (!settings) throw new Error('nobody has said what school and person this is for')
  return settings
}
