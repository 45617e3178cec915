// Undo and redo by their keys, anywhere on the bench but in a field.
import { useEffect, useRef } from 'react'
import type { RecipeInHand } from './useRecipe.ts'

export function useBenchKeys(inHand: Pick<RecipeInHand, 'undo' | 'redo'>): void {
  const acts = useRef(inHand)
  useEffect(() => {
    acts.current = inHand
  })
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const isInField =
        event.target instanceof Element &&
        event.target.closest('input[type=text],input[type=number],textarea')
      if (!(event.ctrlKey || event.metaKey) || event.altKey || isInField) return
      const key = event.key.toLowerCase()
      if (key !== 'z' && key !== 'y') return
      event.preventDefault()
      if (key === 'y' || event.shiftKey) acts.current.redo()
      else acts.current.undo()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
}
