// The seam to a picture shelf: licensed pictures, each with its maker, source and licence.
import { shelfPageSchema, shelfPictureSchema } from '@valise/core/evidence'
import type { ShelfPage, ShelfPicture } from '@valise/core/evidence'
import { askJson, askService } from './askService.ts'

/** Whose pictures are searched; the youngest see only those marked as suitable. */
type ShelfReach = 'all' | 'young'

export interface Shelf {
  search(words: string, reach: ShelfReach): Promise<ShelfPage>
  /** @throws ServiceRefusal when there is none, or not for these eyes */
  picture(id: string, reach: ShelfReach): Promise<ShelfPicture>
  file(id: string, size: 'small' | 'whole'): Promise<Response>
  /** Tells whoever keeps the shelf what is wrong with a picture. */
  report(id: string, words: string): Promise<void>
}

/** Opens a shelf that speaks plain JSON at an address. */
export function openShelf(address: string): Shelf {
  const path = (id: string) => `${address}/pictures/${encodeURIComponent(id)}`
  return {
    search: (words, reach) =>
      askJson(`${address}/pictures?${new URLSearchParams({ words, reach })}`, shelfPageSchema),
    picture: (id, reach) => askJson(`${path(id)}?${new URLSearchParams({ reach })}`, shelfPictureSchema),
    file: (id, size) => askService(`${path(id)}/${size}`),
    report: async (id, words) => {
      const headers = { 'content-type': 'application/json' }
      await askService(`${path(id)}/reports`, { method: 'POST', headers, body: JSON.stringify({ words }) })
    },
  }
}
