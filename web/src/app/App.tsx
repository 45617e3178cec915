// Look, server data and routes, put together.
import { QueryClientProvider } from '@tanstack/react-query'
import { RouterProvider } from 'react-router/dom'
import { AppearanceProvider } from '../ui/AppearanceProvider.tsx'
import { queryClient } from '../saving/index.ts'
import { router } from './router.ts'

export function App() {
  return (
    <AppearanceProvider>
      <QueryClientProvider client={queryClient}>
        {/* Shown at once: as a transition it may be held back, and the address would be ahead of the screen. */}
        <RouterProvider router={router} useTransitions={false} />
      </QueryClientProvider>
    </AppearanceProvider>
  )
}
