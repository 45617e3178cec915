// The bench's proposal for a new photo, computed in a worker before the photo is saved.
import type { Proposal } from '@valise/core/pictures'
import { useEffect, useState } from 'react'
import { newSeed, openDesk } from '../pictures/desk/index.ts'

export interface PhotoProposal {
  readonly proposal: Proposal
  /** The photo as it would become; null where nothing is proposed. */
  readonly bitmap: ImageBitmap | null
}

/** Null while it is computed, and where this device cannot compute it: then the photo is saved as it is. */
export function usePhotoProposal(picture: File | null): {
  found: PhotoProposal | null
  isPreviewing: boolean
} {
  const [state, setState] = useState<{ picture: File; found: PhotoProposal | null } | null>(null)
  useEffect(() => {
    if (!picture) return
    const desk = openDesk()
    let isLeft = false
    const propose = async (): Promise<PhotoProposal> => {
      await desk.work.open(picture)
      const proposal = await desk.work.propose(newSeed())
      const isEmpty = proposal.recipe.steps.length === 0
      return { proposal, bitmap: isEmpty ? null : (await desk.work.preview(proposal.recipe)).bitmap }
    }
    void propose().then(
      (found) => !isLeft && setState({ picture, found }),
      () => !isLeft && setState({ picture, found: null }),
    )
    return () => {
      isLeft = true
      desk.end()
    }
  }, [picture])
  const own = state?.picture === picture ? state : null
  return { found: own?.found ?? null, isPreviewing: picture !== null && own === null }
}
