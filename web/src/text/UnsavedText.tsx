// Why a text is not saved, and what to do.
import { ApiProblem } from '../api/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import type { UnsavedTextState } from './useUnsavedText.ts'

export function UnsavedText({ unsaved: { fault } }: { readonly unsaved: UnsavedTextState }) {
  return fault === null ? null : <Refusal error={ApiProblem.ofDevice(fault)} />
}
