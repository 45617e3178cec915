// The choosing of pages, fetched when it is first opened.
import { lazy } from 'react'

export const LazyPageChooser = lazy(async () => ({
  default: (await import('./PageChooser.tsx')).PageChooser,
}))
