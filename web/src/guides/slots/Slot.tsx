// What stands beside a question of a copy, and how more is put there: the list of the kinds that have such a place.
import type { FieldKind } from '@valise/core/pages'
import type { AnswerInEntry } from '@valise/core/reflections'
import type { ComponentType } from 'react'
import type { GuideCopyEditor } from '../useGuideCopy.ts'
import { EntrySlot } from './EntrySlot.tsx'
import { EvidenceSlot } from './EvidenceSlot.tsx'
import { LogbookSlot } from './LogbookSlot.tsx'
import { PageSlot } from './PageSlot.tsx'

export interface SlotProps {
  readonly editor: GuideCopyEditor
  readonly answer: AnswerInEntry
}

const slots: { readonly [K in FieldKind]: ComponentType<SlotProps> | null } = {
  long: null,
  short: null,
  steps: null,
  choice: null,
  scale: null,
  rating: EvidenceSlot,
  date: null,
  evidence: EvidenceSlot,
  entry: EntrySlot,
  logbook: LogbookSlot,
  page: PageSlot,
  people: null,
}

export function Slot(props: SlotProps) {
  const OfKind = slots[props.answer.piece.given.kind]
  return OfKind ? <OfKind {...props} /> : null
}
