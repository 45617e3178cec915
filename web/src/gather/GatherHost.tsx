// Shows the way in that was opened from anywhere, above whatever screen one is on.
import { lazy, Suspense } from 'react'
import { needWords } from '../words/i18n.ts'
import { openSource } from './gathering.ts'

const GatherDialogs = lazy(async () => {
  // The buttons over a text are those of pages; faults of a photo are shown as on the bench.
  await Promise.all([needWords('gather'), needWords('evidence'), needWords('pages'), needWords('bench')])
  return { default: (await import('./GatherDialogs.tsx')).GatherDialogs }
})

export function GatherHost() {
  const open = openSource.use()
  if (open === null) return null
  return (
    <Suspense fallback={null}>
      <GatherDialogs source={open.source} place={open.place} />
    </Suspense>
  )
}
