// What a mutation and a query may say about themselves.
import '@tanstack/react-query'
import type { Topic } from './changes.ts'

declare module '@tanstack/react-query' {
  interface Register {
    mutationMeta: {
      /** The top bar shows that its change is being saved. */
      readonly showsSaving?: boolean
      /** What it changes: every query that follows one of these is fetched again. */
      readonly changes?: readonly Topic[]
      /** It is done once that is fetched, for screens that would show the state before for a moment. */
      readonly endsWhenFetched?: boolean
    }
    queryMeta: {
      /** It is fetched again whenever one of these changes. */
      readonly follows?: readonly Topic[]
    }
  }
}
