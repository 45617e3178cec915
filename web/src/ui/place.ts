// The name of the place that is open, for the top bar and for the window's title.
import { createStore } from './createStore.ts'

/** The places of the navigation. */
export type PlaceName =
  | 'today'
  | 'class'
  | 'classes'
  | 'evidence'
  | 'logbooks'
  | 'guides'
  | 'guidesSet'
  | 'pages'
  | 'collections'
  | 'sharing'
  | 'opened'
  | 'submissions'
  | 'desk'
  | 'assignments'
  | 'sheets'
  | 'attributes'
  | 'grow'
  | 'bin'
  | 'people'
  | 'records'

export interface Place {
  readonly name: string
  readonly parent: string
  /** The thing that is open, for the window's title, where the name tells the place alone. */
  readonly title?: string
  /** Which place of the rail it belongs to, where its address begins like another's or like none's. */
  readonly within?: PlaceName
}

const place = createStore<Place>({ name: '', parent: '' })

export const usePlace = place.use

export function setPlace(next: Place): void {
  place.set(next)
  document.title = `${next.title ?? next.name} · Valise`
}
