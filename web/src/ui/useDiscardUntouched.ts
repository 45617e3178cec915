// Something that was begun and left as it was is discarded when its screen is left.
import { useEffect, useRef } from 'react'
import { useLocation } from 'react-router'

/** What the address of something that was just begun carries, so that its screen knows. */
export const justBegun = { isNew: true }

/** Whether the thing on this screen was just begun from here. */
export function useIsNew(): boolean {
  return useLocation().state?.isNew === true
}

/**
 * @param isUntouched asked when the screen is left
 * @param discard takes the thing away; the server refuses where it was changed elsewhere meanwhile
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
