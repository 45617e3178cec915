// The frame around every screen: top bar, rail, the paper one works on, the Tray.
import { IconX } from '@tabler/icons-react'
import { Suspense, useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Outlet, useLocation } from 'react-router'
import { Tray } from '../evidence/Tray.tsx'
import { Loading } from '../ui/Fetched.tsx'
import { Guards } from './Guards.tsx'
import { Rail } from './Rail.tsx'
import { TopBar } from './TopBar.tsx'
import styles from './Shell.module.css'

export function Shell() {
  const { t } = useTranslation()
  const places = useRef<HTMLDialogElement>(null)
  const work = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  const closePlaces = () => places.current?.close()

  // A new place is read from its top, by eye and by screen reader; the first one keeps the focus where it is.
  const firstPath = useRef(pathname)
  useEffect(() => {
    if (firstPath.current === pathname) return
    firstPath.current = ''
    work.current?.focus({ preventScroll: true })
    work.current?.scrollTo(0, 0)
  }, [pathname])

  return (
    <div className={styles.shell}>
      <a className={styles.skip} href="#work">
        {t('skip')}
      </a>
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
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </main>
      <Tray />
      <Guards />
    </div>
  )
}
