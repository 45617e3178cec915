// The list of the kinds of things that can be handed in, with what each brings to the hand-in. The order is the one in
// which they are offered.
import type { PartKind } from '@valise/core/things'
import { entryPart } from './entryPart.tsx'
import { evidencePart } from './evidencePart.tsx'
import { pagePart } from './pagePart.tsx'
import type { PartUi } from './PartUi.ts'

export const partsByKind = {
  page: pagePart,
  entry: entryPart,
  evidence: evidencePart,
} satisfies Record<PartKind, PartUi>

// The list has exactly these keys, which `Object.keys` does not say.
export const offeredParts = Object.keys(partsByKind) as PartKind[]
