// Collections on the sharing screens.
import type { SharedUi } from './SharedUi.ts'

export const collection: SharedUi = {
  why: 'why.collection',
  rests: 'give.restsCollection',
  readAddress: (id) => `/collections/${id}?read`,
}
