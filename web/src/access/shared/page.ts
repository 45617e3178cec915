// Pages on the sharing screens.
import type { SharedUi } from './SharedUi.ts'

export const page: SharedUi = {
  why: 'why.page',
  rests: 'give.same',
  readAddress: (id, topId = '') => `/pages/${id}?in=${topId}`,
}
