// Who is signed in, for screens that are only shown to somebody who is.
import { useSuspenseQuery } from '@tanstack/react-query'
import type { SignedIn } from '@valise/core/people'
import { sessionQueries } from './queries.ts'

/** @throws Error when nobody is signed in: use it inside the session gate only */
export function useSession(): SignedIn {
  const { data } = useSuspenseQuery(sessionQueries.me())
  if (data.state !== 'signed-in') throw new Error('this screen needs somebody who is signed in')
  return data
}
