// The thing that is being dragged out of the tray, for the places that would take it.
import type { EvidenceRow } from '@valise/core/evidence'
import { createStore } from '../../ui/createStore.ts'

export const draggedItem = createStore<EvidenceRow | null>(null)
