// Stands before every screen: who is signed in goes on in their language, everybody else is asked to come in.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { sharedKinds, thingDefinitionOf } from '@valise/core/things'
import type { SharedThing } from '@valise/core/things'
import type { Language } from '@valise/core/people'
import { lazy, Suspense, useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation } from 'react-router'
import { loadVisitorScreen } from '../access/index.ts'
import { loadSignInScreen } from '../people/index.ts'
import { refreshSession, sessionQueries, hearTabs } from '../session/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { UiSettingsProvider } from '../ui/settings.tsx'
import { needWords, speak } from '../words/i18n.ts'
import { Shell } from './Shell.tsx'
import { ShellOutline } from './ShellOutline.tsx'

const SignInScreen = lazy(async () => {
  await needWords('people')
  return { default: await loadSignInScreen() }
})

/** Pages and collections may be open to whoever holds a link. */
const VisitorScreen = lazy(async () => {
  await Promise.all([needWords('reading'), needWords('people')])
  return { default: await loadVisitorScreen() }
})

export function SessionGate() {
  const opened = thingAt(useLocation().pathname)
  const session = useQuery(sessionQueries.me())
  const school = useQuery(sessionQueries.school())
  const language = session.data?.state === 'signed-in' ? session.data.language : null
  const isSpoken = useSpoken(language)
  useSharedPreferences()
  const cameIn = useCameIn(session.data?.state)

  if (session.isPending || school.isPending) return <ShellOutline />
  return (
    <Fetched query={school}>
      {({ timeZone }) => (
        <Fetched query={session}>
          {(who) =>
            who.state === 'signed-out' ? (
              <UiSettingsProvider timeZone={timeZone} letterKeys={false}>
                <Suspense fallback={null}>
                  {opened ? <VisitorScreen {...opened} /> : <SignInScreen />}
                </Suspense>
              </UiSettingsProvider>
            ) : (
              <UiSettingsProvider timeZone={timeZone} letterKeys={who.letterKeys}>
                {isSpoken ? <Shell isJustSignedIn={cameIn} /> : <ShellOutline />}
              </UiSettingsProvider>
            )
          }
        </Fetched>
      )}
    </Fetched>
  )
}

/**
 * Speaks a person's language; gives whether it was spoken yet, since a flash of another one would be read aloud in it. One
 * that is chosen later comes into the open screen, with all that was typed there.
 */
function useSpoken(language: Language | null): boolean {
  const { i18n } = useTranslation()
  const [isSpoken, setSpoken] = useState(false)
  useEffect(() => {
    if (language !== null) void speak(language).then(() => setSpoken(true))
  }, [language])
  return isSpoken || i18n.language === language
}

/** What is chosen in one window holds in all. */
function useSharedPreferences(): void {
  const client = useQueryClient()
  useEffect(
    () =>
      hearTabs((message) => {
        if (message === 'preferences') void refreshSession(client)
      }),
    [client],
  )
}

/** Whether whoever is signed in now was asked to come in before, in this window. */
function useCameIn(state: 'signed-in' | 'signed-out' | undefined): boolean {
  const [wasOut, setWasOut] = useState(false)
  if (state === 'signed-out' && !wasOut) setWasOut(true)
  return wasOut && state === 'signed-in'
}

/** What others may be shown at an address. */
function thingAt(path: string): SharedThing | null {
  const [, beginning, id] = /^\/([a-z]+)\/([\w-]+)/.exec(path) ?? []
  const kind = sharedKinds.find((one) => thingDefinitionOf(one).path === beginning)
  return kind && id !== undefined ? { kind, id } : null
}
