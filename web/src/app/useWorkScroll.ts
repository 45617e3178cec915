// How far the work area was scrolled on each screen: whoever comes back finds it where they left it.
import { useLayoutEffect, useRef } from 'react'
import type { RefObject } from 'react'
import { useLocation, useNavigationType } from 'react-router'

/** A list may have to be fetched before it is as long as it was. */
const LONGEST_WAIT_MS = 3000

/**
 * Restores the scroll position. @param screen changes with each screen; a new one starts at its top
 */
export function useWorkScroll(work: RefObject<HTMLElement | null>, screen: string): void {
  const { key } = useLocation()
  const type = useNavigationType()
  const places = useRef(new Map<string, number>())
  const shown = useRef(screen)

  // Before the new screen is laid out: a shorter one moves the area, and that is not the old screen's place.
  useLayoutEffect(() => {
    const area = work.current
    if (!area) return
    const wanted = type === 'POP' ? (places.current.get(key) ?? 0) : 0
    if (shown.current !== screen) area.scrollTo(0, 0)
    shown.current = screen
    const note = () => places.current.set(key, area.scrollTop)
    const begin = () => area.addEventListener('scroll', note, { passive: true })
    const end = () => area.removeEventListener('scroll', note)
    if (wanted === 0) {
      begin()
      return end
    }
    const startedAt = performance.now()
    let frame = 0
    const reach = () => {
      area.scrollTo(0, wanted)
      const isThere = Math.abs(area.scrollTop - wanted) < 2
      if (isThere || performance.now() - startedAt > LONGEST_WAIT_MS) begin()
      else frame = requestAnimationFrame(reach)
    }
    reach()
    // Whoever scrolls meanwhile leads.
    const stop = () => {
      cancelAnimationFrame(frame)
      begin()
    }
    area.addEventListener('wheel', stop, { once: true, passive: true })
    area.addEventListener('keydown', stop, { once: true })
    return () => {
      cancelAnimationFrame(frame)
      area.removeEventListener('wheel', stop)
      area.removeEventListener('keydown', stop)
      end()
    }
  }, [work, screen, key, type])
}
