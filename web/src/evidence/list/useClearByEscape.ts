// Escape leaves the selection, but for where it closes something else.
import { useEffect } from 'react'

export function useClearByEscape(isAny: boolean, clear: () => void) {
  useEffect(() => {
    if (!isAny) return
    const onKey = (event: KeyboardEvent) => {
      const isInField =
        event.target instanceof HTMLElement && event.target.closest('[role="dialog"], input, textarea')
      if (event.key === 'Escape' && !event.defaultPrevented && !isInField) clear()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  })
  return {}
}
