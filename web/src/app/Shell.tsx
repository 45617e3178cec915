// The frame around every screen: top bar, rail, the paper one works on, the Tray.
import { IconX } from '@tabler/icons-react'
import { lazy, Suspense, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Outlet } from 'react-router'
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
import { TopBar } from './TopBar.tsx'
import { useWorkFocus } from './useWorkFocus.ts'
import styles from './Shell.module.css'

/** Seldom seen, so fetched when there is something to say. */
const FootNoteHost = lazy(async () => ({ default: (await import('./FootNoteHost.tsx')).FootNoteHost }))

export function Shell({ isJustSignedIn }: { readonly isJustSignedIn: boolean }) {
  const { t } = useTranslation()
  const places = useRef<HTMLDialogElement>(null)
  const gathers = useSession().memberships.some(({ role }) => role === 'student')
  const hasFootNote = footNote.use() !== null
  const closePlaces = () => places.current?.close()
  const { work, screen } = useWorkFocus(isJustSignedIn)

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
