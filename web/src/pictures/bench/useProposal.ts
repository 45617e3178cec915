// What the worker would do with a picture, offered once to whoever has not begun to work on it.
import type { Proposal } from '@valise/core/pictures'
import { useEffect, useRef, useState } from 'react'
import { newSeed } from '../desk/index.ts'
import type { PictureDesk } from '../desk/index.ts'

export function useProposal(desk: PictureDesk | null, isUntouched: boolean) {
  const [proposal, setProposal] = useState<Proposal | null>(null)
  const [isOffered, setIsOffered] = useState(false)
  /** Whoever works already is not interrupted by a proposal. */
  const hasBegun = useRef(!isUntouched)
  useEffect(() => {
    if (!desk) return
    void desk.work.propose(newSeed()).then((found) => {
      setProposal(found)
      setIsOffered(!hasBegun.current && found.recipe.steps.length > 0)
    })
    // Once the picture is there; a recipe that is there already is never offered another one.
  }, [desk])
  return {
    /** What would be done with it, and what no editing can mend. */
    proposal,
    offered: isOffered ? (proposal?.recipe ?? null) : null,
    leave: () => setIsOffered(false),
    begin: () => {
      hasBegun.current = true
      setIsOffered(false)
    },
  }
}
