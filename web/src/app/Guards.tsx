// What watches over an open screen: that somebody is still there, and that the server still knows them.
import { lazy, Suspense, useEffect } from 'react'
import { deliverWhatWasLeft } from '../saving/index.ts'
import { useLostSession, useSession } from '../session/index.ts'
import { needWords } from '../words/i18n.ts'
import { useIdle } from './useIdle.ts'

// Seldom needed, so not part of what is loaded first.
const IdleDialog = lazy(async () => ({ default: (await import('./IdleDialog.tsx')).IdleDialog }))
const LostSessionDialog = lazy(async () => {
  await needWords('people')
  return { default: (await import('./LostSessionDialog.tsx')).LostSessionDialog }
})

export function Guards() {
  const { personId } = useSession()
  const isLost = useLostSession()
  const idle = useIdle()
  useEffect(() => {
    if (isLost) return
    // It is tried again with the next screen that is loaded; nothing is lost meanwhile.
    void deliverWhatWasLeft(personId).catch(() => undefined)
  }, [personId, isLost])
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
