// Server data: when it is fetched again, and what a refusal means to the whole screen.
import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query'
import { isOvertaken, mayRetry, tellChanged } from '../api/index.ts'
import { needWords } from '../words/i18n.ts'
import { loseWhereSignedOut } from '../session/index.ts'
import { noteSaving, noteSaved, noteRefused } from './saveStatus.ts'

/** On the first screen nothing has gone wrong before; without its words the server's own sentence stands. */
const bringProblemWords = () => void needWords('problems').catch(() => undefined)

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      bringProblemWords()
      loseWhereSignedOut(error)
    },
  }),
  mutationCache: new MutationCache({
    onMutate: (_variables, mutation) => {
      if (mutation.meta?.showsSaving) noteSaving()
    },
    onSuccess: (_data, _variables, _context, mutation) => {
      if (mutation.meta?.showsSaving) noteSaved()
    },
    onError: (error, _variables, _context, mutation) => {
      bringProblemWords()
      if (mutation.meta?.showsSaving) noteRefused()
      loseWhereSignedOut(error)
    },
    onSettled: (_data, error, _variables, _context, mutation) => {
      const { changes, endsWhenFetched } = mutation.meta ?? {}
      if (!changes || (error && !isOvertaken(error))) return
      const told = tellChanged(queryClient, changes)
      return endsWhenFetched ? told : undefined
    },
  }),
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      retry: mayRetry,
    },
    mutations: { networkMode: 'always' },
  },
})
