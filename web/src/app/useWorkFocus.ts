// Where reading begins when another screen opens: at its top, unless what was just begun has the focus.
import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'
import { useWorkScroll } from './useWorkScroll.ts'

export function useWorkFocus(isJustSignedIn: boolean) {
  const work = useRef<HTMLElement>(null)
  const { pathname, state } = useLocation()

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
  return { work, screen }
}

/** An item of evidence has its own address, but opens within the screen that one is on. */
function screenOf(pathname: string): string {
  return pathname.startsWith('/evidence/') ? '/evidence' : pathname
}
