// The name of the place that is open, for the top bar and for the window's title.
import { createStore } from './createStore.ts'

export interface Place {
  readonly name: string
  readonly parent: string
}

const place = createStore<Place>({ name: '', parent: '' })

export const usePlace = place.use

export function setPlace(next: Place): void {
  place.set(next)
  document.title = `${next.name} · Valise`
}
