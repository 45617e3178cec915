// The frame around every screen: top bar, rail, the paper one works on, the Tray.
import { IconX } from '@tabler/icons-react'
import { lazy, Suspense, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Outlet, useLocation } from 'react-router'
import { Tray } from '../evidence/tray/index.ts'
import { WindowDrop } from '../evidence/list/index.ts'
import { GatherHost } from '../gather/index.ts'
import { useSession } from '../session/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { footNote } from '../ui/footNote.ts'
import { ScreenName } from '../ui/ScreenName.tsx'
import { Guards } from './Guards.tsx'
import { Rail } from './Rail.tsx'
import { ScreenBoundary } from './ScreenBoundary.tsx'
import { useWorkScroll } from './useWorkScroll.ts'
import { TopBar } from './TopBar.tsx'
import styles from './Shell.module.css'

/** Seldom seen, so fetched when there is something to say. */
const FootNoteHost = lazy(async () => ({ default: (await import('./FootNoteHost.tsx')).FootNoteHost }))

export function Shell({ isJustSignedIn }: { readonly isJustSignedIn: boolean }) {
  const { t } = useTranslation()
  const places = useRef<HTMLDialogElement>(null)
  const work = useRef<HTMLElement>(null)
  const { pathname, state } = useLocation()
  const gathers = useSession().memberships.some(({ role }) => role === 'student')
  const hasFootNote = footNote.use() !== null
  const closePlaces = () => places.current?.close()

  // Whoever has just come in begins in the work area: the form that had the focus is gone.
  useEffect(() => {
    if (isJustSignedIn) work.current?.focus({ preventScroll: true })
  }, [isJustSignedIn])
  // A new place is read from its top, by eye and by screen reader; the first one keeps the focus where it is,
  // and so does an address that is put right without anybody going anywhere.
  const screen = screenOf(pathname)
  const shown = useRef(screen)
  const isPutRight = state?.isPutRight === true
  const isNew = state?.isNew === true
  useEffect(() => {
    if (shown.current === screen) return
    shown.current = screen
    // What was just begun is named first: its title has the focus.
    if (isNew || isPutRight) return
    work.current?.focus({ preventScroll: true })
  }, [screen, isNew, isPutRight])
  useWorkScroll(work, screen)

  return (
    <div className={styles.shell} data-frame>
      <a className={styles.skip} href="#work">
        {t('skip')}
      </a>
      <ScreenName />
      <TopBar onPlaces={() => places.current?.showModal()} />
      <div className={styles.rail}>
        <Rail />
      </div>
      <dialog ref={places} className={styles.places} aria-label={t('places.label')}>
        <button type="button" className={styles.close} onClick={closePlaces}>
          <IconX size={20} stroke={1.7} aria-hidden="true" />
          {t('places.close')}
        </button>
        <Rail onGo={closePlaces} />
      </dialog>
      {/* It scrolls by itself, so it must be reached by keyboard also where nothing in it can be. */}
      <main id="work" ref={work} className={styles.work} tabIndex={0}>
        <ScreenBoundary key={screen}>
          <Suspense fallback={<Loading />}>
            <Outlet />
          </Suspense>
        </ScreenBoundary>
      </main>
      {gathers ? <Tray /> : null}
      {gathers ? <WindowDrop /> : null}
      {gathers ? (
        <ScreenBoundary key={`gather ${screen}`}>
          <GatherHost />
        </ScreenBoundary>
      ) : null}
      {hasFootNote ? (
        <Suspense fallback={null}>
          <FootNoteHost />
        </Suspense>
      ) : null}
      <Guards />
    </div>
  )
}

/** An item of evidence has its own address, but opens within the screen that one is on. */
function screenOf(pathname: string): string {
  return pathname.startsWith('/evidence/') ? '/evidence' : pathname
}
