// The pictures of a board as the browser has them, each fetched once.
import type { Pictured } from '@valise/core/pictures'
import { useEffect, useState } from 'react'
import { renditionAddress } from '../evidence/base/index.ts'

export type Opened = ReadonlyMap<string, HTMLImageElement>

export function pictureKey({ evidenceId, n }: { readonly evidenceId: string; readonly n: number }): string {
  return `${evidenceId}:${n}`
}

/** Returns the loaded pictures, and renders again as more load. */
export function usePictures(pictures: readonly Pictured[]): Opened {
  const [opened, setOpened] = useState<Opened>(new Map())
  const wanted = pictures.map((picture) => ({ key: pictureKey(picture), address: addressOf(picture) }))
  const list = JSON.stringify(wanted)
  useEffect(() => {
    const all: typeof wanted = JSON.parse(list)
    let isOver = false
    for (const { key, address } of all) {
      const image = new Image()
      image.onload = () => {
        if (!isOver) setOpened((before) => new Map(before).set(key, image))
      }
      image.src = address
    }
    return () => {
      isOver = true
    }
  }, [list])
  return opened
}

function addressOf({ evidenceId: id, n, renderRevision }: Pictured): string {
  return renditionAddress({ id, version: { n, renderRevision } }, 'screen')
}
