// A screen whose code could not be fetched: the frame stays, says so, and the screen opens by itself once it can be had.
import Button from '@mui/material/Button'
import { useEffect, useState } from 'react'
import type { ComponentType } from 'react'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { Screen } from '../ui/Screen.tsx'
import { reloadOnce } from './reloadOnce.ts'

const TRY_AGAIN_MS = 3000

export type LoadScreen = () => Promise<ComponentType>

/** Makes a screen that is fetched again and again until it loads. */
export function awayUntilLoaded(load: LoadScreen): ComponentType {
  return function AwayUntilLoaded() {
    const [Loaded, setLoaded] = useState<ComponentType | null>(null)
    const tryAgain = () =>
      load().then(
        (Component) => setLoaded(() => Component),
        // The server answers and still there is no such code: a new version was installed meanwhile.
        () => reloadOnce(),
      )
    if (Loaded) return <Loaded />
    return <ScreenAway onTry={tryAgain} />
  }
}

interface ScreenAwayProps {
  /** Tries once more; what it does about another failure is its own matter. */
  readonly onTry: () => Promise<void>
}

export function ScreenAway({ onTry }: ScreenAwayProps) {
  const { t } = useTranslation()
  useEffect(() => {
    const again = () => void onTry()
    const timer = setInterval(again, TRY_AGAIN_MS)
    window.addEventListener('online', again)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', again)
    }
  }, [onTry])
  return (
    <Screen place={t('states.awayTitle')} sentence={t('states.awayTitle')}>
      <div role="alert">
        <Empty action={<Button onClick={() => void onTry()}>{t('states.retry')}</Button>}>
          {t('states.away')}
        </Empty>
      </div>
    </Screen>
  )
}
