// Something that was begun and left as it was is discarded when its screen is left.
import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'

/** The navigation state that marks a new thing. */
export const justBegun = { isNew: true }

/** Returns whether the thing on this screen was just created. */
export function useIsNew(): boolean {
  return useLocation().state?.isNew === true
}

/**
 * Discards a new thing that was not changed.
 *
 * @param isUntouched asked when the screen is left
 * @param discard removes the thing; the server refuses where it was changed elsewhere
 */
export function useDiscardUntouched(isUntouched: () => boolean, discard: () => void): void {
  const latest = useRef({ isUntouched, discard })
  useEffect(() => {
    latest.current = { isUntouched, discard }
  })
  const leaving = useRef<ReturnType<typeof setTimeout> | null>(null)
  useEffect(() => {
    // A screen that is only rendered anew was not left.
    if (leaving.current) clearTimeout(leaving.current)
    return () => {
      leaving.current = setTimeout(() => {
        if (latest.current.isUntouched()) latest.current.discard()
      })
    }
  }, [])
}
