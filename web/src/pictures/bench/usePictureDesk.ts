// The picture of a version in a worker of its own: opened as it was taken, and whole where the browser can.
import { canBeRendered } from '@valise/core/evidence'
import { MOST_WORKED_PIXELS } from '@valise/core/pictures'
import type { Size } from '@valise/core/pictures'
import { useEffect, useState } from 'react'
import { ApiProblem } from '../../api/index.ts'
import { fileAddress } from '../../evidence/base/index.ts'
import { openDesk } from '../desk/index.ts'
import type { PictureDesk } from '../desk/index.ts'
import { asTakenAddress, fetchPicture } from './queries.ts'
import type { VersionOfItem } from './queries.ts'

/** What browsers open by themselves. */
const opened = ['image/jpeg', 'image/png', 'image/webp', 'image/gif']

const TRY_AGAIN_MS = 700
/** About half a minute; what is not there by then will not be. */
const MOST_TRIES = 40

export type DeskState =
  | { readonly state: 'opening' }
  | { readonly state: 'open'; readonly desk: PictureDesk; readonly isWhole: boolean }
  | { readonly state: 'failed'; readonly error: unknown }

/** Opens the picture at screen size first, then with all pixels, where the browser can. */
export function usePictureDesk(of: VersionOfItem, mime: string, original: Size): DeskState {
  const [state, setState] = useState<DeskState>({ state: 'opening' })
  const { id, n } = of
  const { width, height } = original
  useEffect(() => {
    const away = new AbortController()
    const desk = openDesk()
    const open = async () => {
      const picture = await fetchWhenMade(asTakenAddress({ id, n }), away.signal)
      await desk.work.open(picture, { width, height })
      if (away.signal.aborted) return
      setState({ state: 'open', desk, isWhole: false })
      const address = wholeAddress({ id, n }, mime, { width, height })
      if (address === null) return
      const whole = await fetchPicture(address, away.signal)
      // Where memory does not suffice the bench goes on with what it has.
      const isWhole = await desk.work.openWhole(whole).then(
        () => true,
        () => false,
      )
      if (!away.signal.aborted) setState({ state: 'open', desk, isWhole })
    }
    void open().catch((error: unknown) => {
      if (!away.signal.aborted) setState({ state: 'failed', error })
    })
    return () => {
      away.abort()
      desk.end()
    }
  }, [id, n, mime, width, height])
  return state
}

/** A picture that has just come in is being made ready: it is asked for until it is there. */
async function fetchWhenMade(address: string, signal: AbortSignal): Promise<Blob> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await fetchPicture(address, signal)
    } catch (error) {
      const isMaking = error instanceof ApiProblem && error.code === 'not-found'
      if (!isMaking || tries >= MOST_TRIES || signal.aborted) throw error
      await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
    }
  }
}

/** The address of the whole picture, where the browser can open it and it is not too large; else null. */
function wholeAddress({ id, n }: VersionOfItem, mime: string, { width, height }: Size): string | null {
  const canOpen = canBeRendered(mime) && opened.includes(mime) && width * height <= MOST_WORKED_PIXELS
  return canOpen ? fileAddress(id, n) : null
}
