// What a mutation may say about itself.
import '@tanstack/react-query'

declare module '@tanstack/react-query' {
  interface Register {
    /** `showsSaving`: the top bar shows that its change is being saved. */
    mutationMeta: { readonly showsSaving?: boolean }
  }
}
