// Stands before every screen: who is signed in goes on in their language, everybody else is asked to come in.
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation } from 'react-router'
import { sessionQueries } from '../people/queries.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { needWords, speak } from '../words/i18n.ts'
import { Shell } from './Shell.tsx'

const SignInScreen = lazy(async () => {
  await needWords('people')
  return { default: (await import('../people/SignInScreen.tsx')).SignInScreen }
})

/** Pages and collections may be open to whoever holds a link. */
const VisitorScreen = lazy(async () => {
  await Promise.all([needWords('reading'), needWords('people')])
  return { default: (await import('../access/VisitorScreen.tsx')).VisitorScreen }
})

export function SessionGate() {
  const opened = thingAt(useLocation().pathname)
  const session = useQuery(sessionQueries.me())
  const school = useQuery(sessionQueries.school())
  const { i18n } = useTranslation()
  const language = session.data?.state === 'signed-in' ? session.data.language : null
  useEffect(() => {
    if (language !== null) void speak(language)
  }, [language])

  return (
    <Fetched query={school}>
      {() => (
        <Fetched query={session}>
          {(who) => {
            if (who.state === 'signed-out') {
              return (
                <Suspense fallback={null}>
                  {opened ? <VisitorScreen {...opened} /> : <SignInScreen />}
                </Suspense>
              )
            }
            // A flash of the wrong language would be read aloud in it.
            return i18n.language === who.language ? <Shell /> : null
          }}
        </Fetched>
      )}
    </Fetched>
  )
}

function thingAt(path: string): { readonly kind: 'pages' | 'collections'; readonly id: string } | null {
  const [, kind, id] = /^\/(pages|collections)\/([\w-]+)/.exec(path) ?? []
  if (id === undefined) return null
  return { kind: kind === 'pages' ? 'pages' : 'collections', id }
}
