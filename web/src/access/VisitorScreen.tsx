// What an address of a page or a collection shows to somebody who is not signed in: what a link opens, or the door.
import type { SharedKind } from '@valise/core/things'
import { lazy, Suspense, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { ApiProblem } from '../api/index.ts'
import { DoorFrame, loadSignInScreen } from '../people/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { ScreenName } from '../ui/ScreenName.tsx'
import { useProblemWords } from '../ui/useProblemWords.ts'
import { needWords } from '../words/i18n.ts'
import { readersByKind } from './readersByKind.ts'
import { ToSignIn } from './NoSuchLink.tsx'
import styles from './VisitorScreen.module.css'

const SignInScreen = lazy(async () => {
  await needWords('people')
  return { default: await loadSignInScreen() }
})

interface VisitorScreenProps {
  readonly kind: SharedKind
  readonly id: string
}

export function VisitorScreen({ kind, id }: VisitorScreenProps) {
  const { useReading, Read } = readersByKind[kind]
  const { data, error } = useReading(id)
  const main = useRef<HTMLElement>(null)
  const isThere = data !== undefined
  const shown = useRef<string | null>(null)
  // The next page is read from its top, by eye and by screen reader; the first one keeps the focus where it is.
  useEffect(() => {
    if (!isThere || shown.current === id) return
    if (shown.current !== null) {
      main.current?.focus({ preventScroll: true })
      window.scrollTo(0, 0)
    }
    shown.current = id
  }, [id, isThere])
  if (data)
    return (
      <main ref={main} className={styles.visitor} tabIndex={-1}>
        <ScreenName />
        <Read id={id} />
      </main>
    )
  if (!error) return <Loading />
  const reason = closedReasons.find((one) => error instanceof ApiProblem && error.reason === one)
  if (reason) return <ClosedLink reason={reason} error={error} />
  return (
    <Suspense fallback={<Loading />}>
      <SignInScreen />
    </Suspense>
  )
}

const closedReasons = ['link-ended', 'link-to-come', 'link-shows-nothing'] as const

interface ClosedLinkProps {
  readonly reason: (typeof closedReasons)[number]
  readonly error: unknown
}

/** It tells neither title nor name: whoever finds an old link learns nothing from it. */
function ClosedLink({ reason, error }: ClosedLinkProps) {
  const { t } = useTranslation('reading')
  const { sentence } = useProblemWords()
  const title = t(`closed.${reason}`)
  return (
    <DoorFrame title={title} lead={sentence(error)}>
      <ToSignIn />
    </DoorFrame>
  )
}
