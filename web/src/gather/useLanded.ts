// What happens once something has come in by a dialog: a slot takes it, or it opens where it lands.
import type { Evidence } from '@valise/core/evidence'
import { useNavigate } from 'react-router'
import { noteArrival } from '../evidence/upload/index.ts'
import { endGathering } from './gathering.ts'
import type { LandingPlace } from './gathering.ts'

export function useLanded({ onSaved }: LandingPlace): (item: Evidence) => void {
  const navigate = useNavigate()
  return ({ id }) => {
    endGathering()
    if (onSaved) return onSaved(id)
    noteArrival(id)
    // Today lists new items itself; on other screens a link leads to the item.
    if (window.location.pathname !== '/') void navigate(`/evidence/${id}`)
  }
}
