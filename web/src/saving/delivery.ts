// How far what was typed has come, and what a failure means for it: the same for drafts and for whole documents.
import { ApiProblem } from '../api/index.ts'
import { loseWhereSignedOut } from '../session/index.ts'
import { clearUnsaved, noteOnDevice, noteRefused, noteSaved, noteSaving, noteUnsaved } from './saveStatus.ts'

export type DeliveryState = 'delivered' | 'delivering' | 'on-device' | 'refused'

interface Delivery {
  readonly delivery: DeliveryState
  /** How many changes wait. */
  readonly queued: number
}

const LATER = ['unreachable', 'busy', 'unexpected', 'too-many', 'no-space']

/** Returns whether a failure says nothing of what was sent: it is sent again. Marks the session as lost where it is. */
export function isLater(error: unknown): boolean {
  return error instanceof ApiProblem && (loseWhereSignedOut(error) || LATER.includes(error.code))
}

const isBusy = ({ delivery }: Delivery) => delivery === 'delivering' || delivery === 'on-device'

/** Shows in the top bar what became of the changes at an address. */
export function tellSaveStatus(address: string, before: Delivery, after: Delivery): void {
  if (isBusy(after) && !isBusy(before)) noteSaving()
  if (after.delivery === 'refused') noteUnsaved(address)
  else clearUnsaved(address)
  if (!isBusy(after) && isBusy(before)) {
    if (after.delivery === 'refused') noteRefused()
    else noteSaved()
  }
  if (after.delivery === 'on-device') noteOnDevice(after.queued)
}
