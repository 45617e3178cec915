// What watches over an open screen: that somebody is still there, and that the server still knows them.
import { lazy, Suspense } from 'react'
import { useLostSession } from './lostSession.ts'
import { needWords } from '../words/i18n.ts'
import { useIdle } from './useIdle.ts'

// Seldom needed, so not part of what is loaded first.
const IdleDialog = lazy(async () => ({ default: (await import('./IdleDialog.tsx')).IdleDialog }))
const LostSessionDialog = lazy(async () => {
  await needWords('people')
  return { default: (await import('./LostSessionDialog.tsx')).LostSessionDialog }
})

export function Guards() {
  const isLost = useLostSession()
  const idle = useIdle()
  return (
    <Suspense fallback={null}>
      {isLost ? (
        <LostSessionDialog />
      ) : idle.minutesLeft !== null ? (
        <IdleDialog {...idle} minutesLeft={idle.minutesLeft} />
      ) : null}
    </Suspense>
  )
}
