// What a mutation may say about itself.
import '@tanstack/react-query'

declare module '@tanstack/react-query' {
  interface Register {
    /** `kept`: what it sends is kept, and the top bar says so. */
    mutationMeta: { readonly showsSaving?: boolean }
  }
}
