// What a recipe makes of the picture: at the size of a screen while things move, the whole when they rest.
import type { PictureRecipe } from '@valise/core/pictures'
import { proxy } from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { PictureDesk, Preview } from '../desk/index.ts'

const REST_MS = 700

export interface Result {
  readonly preview: Preview | null
  /** The whole picture, once it is made by this very recipe. */
  readonly whole: ImageBitmap | null
  /** How much of the whole is made; null while it is not being made. */
  readonly progress: number | null
  readonly error: unknown
  /** Stops making the whole; the preview stays. */
  cancel(): void
}

/**
 * @param isWhole whether the desk has more pixels than a screen shows
 */
export function useResult(desk: PictureDesk | null, recipe: PictureRecipe, isWhole: boolean): Result {
  const [preview, setPreview] = useState<Preview | null>(null)
  const [whole, setWhole] = useState<{ bitmap: ImageBitmap; recipe: PictureRecipe } | null>(null)
  const [progress, setProgress] = useState<number | null>(null)
  const [error, setError] = useState<unknown>(null)
  const wanted = useRef<PictureRecipe | null>(null)
  const isBusy = useRef(false)

  // While one preview is made only the newest wish is remembered: handles move faster than pictures are made.
  const makePreviews = useCallback(async () => {
    if (!desk || isBusy.current) return
    isBusy.current = true
    while (wanted.current) {
      const next = wanted.current
      wanted.current = null
      await desk.work.preview(next).then(
        (made) => {
          setPreview(made)
          setError(null)
        },
        (cause: unknown) => setError(cause),
      )
    }
    isBusy.current = false
  }, [desk])

  useEffect(() => {
    wanted.current = recipe
    void makePreviews()
  }, [recipe, makePreviews])

  useEffect(() => {
    if (!desk || !isWhole) return
    let isLeft = false
    const timer = setTimeout(() => {
      setProgress(0)
      const onProgress = proxy((fraction: number) => {
        if (!isLeft) setProgress(fraction)
      })
      desk.work.whole(recipe, onProgress).then(
        (bitmap) => {
          if (bitmap && !isLeft) setWhole({ bitmap, recipe })
          if (!isLeft) setProgress(null)
        },
        (cause: unknown) => {
          if (isLeft) return
          setError(cause)
          setProgress(null)
        },
      )
    }, REST_MS)
    return () => {
      isLeft = true
      clearTimeout(timer)
      setProgress(null)
      void desk.work.leave()
    }
  }, [desk, recipe, isWhole])

  return {
    preview,
    whole: whole?.recipe === recipe ? whole.bitmap : null,
    progress,
    error,
    cancel: () => {
      void desk?.work.leave()
      setProgress(null)
    },
  }
}
