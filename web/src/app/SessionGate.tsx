// Stands before every screen: who is signed in goes on in their language, everybody else is asked to come in.
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect } from 'react'
import { useTranslation } from 'react-i18next'
import { sessionQueries } from '../people/queries.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { needWords, speak } from '../words/i18n.ts'
import { Shell } from './Shell.tsx'

const SignInScreen = lazy(async () => {
  await needWords('people')
  return { default: (await import('../people/SignInScreen.tsx')).SignInScreen }
})

export function SessionGate() {
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
                  <SignInScreen />
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
