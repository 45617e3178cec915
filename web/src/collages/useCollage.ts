// The collage being edited, saved by itself, with the facts of its pictures; changes of other windows are merged.
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { mergeCollages } from '@valise/core/pictures'
import type { Collage, SavedCollage, Pictured } from '@valise/core/pictures'
import { useState } from 'react'
import { tellChanged } from '../api/index.ts'
import { useDocument } from '../saving/index.ts'
import type { OpenDocument, DocumentStore } from '../saving/index.ts'
import { collageAddress, collageQueries, putCollage, readCollage } from './queries.ts'

export interface CollageInHand extends OpenDocument<Collage> {
  readonly pictures: readonly Pictured[]
  /** Tells of pictures that are about to be laid on the board, so that they are seen before the server names them. */
  meet(pictures: readonly Pictured[]): void
}

export function useCollage(id: string, saved: SavedCollage): CollageInHand {
  const client = useQueryClient()
  const toStore = (): DocumentStore<Collage> => {
    const toSaved = (answer: SavedCollage) => {
      client.setQueryData(collageQueries.one(id).queryKey, answer)
      return { document: answer.collage, revision: answer.revision }
    }
    return {
      address: collageAddress(id),
      put: (collage, revision) => putCollage(id, collage, revision ?? 0).then(toSaved),
      read: () => readCollage(id).then(toSaved),
      merge: mergeCollages,
      onSettled: () => void tellChanged(client, ['evidence']),
    }
  }
  const { data } = useQuery({ ...collageQueries.one(id), enabled: false })
  const [met, setMet] = useState<readonly Pictured[]>([])
  const inHand = useDocument({ document: saved.collage, revision: saved.revision }, toStore)
  const toSaved = data?.pictures ?? saved.pictures
  return {
    ...inHand,
    pictures: [...toSaved, ...met.filter((one) => !toSaved.some((other) => isSamePicture(one, other)))],
    meet: (pictures) => setMet((before) => [...before, ...pictures]),
  }
}

export function isSamePicture(
  one: { readonly evidenceId: string; readonly n: number },
  other: { readonly evidenceId: string; readonly n: number },
): boolean {
  return one.evidenceId === other.evidenceId && one.n === other.n
}
