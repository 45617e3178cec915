// The list of the kinds of things that can be handed in, with what each brings to the hand-in. The order is the one in
// which they are offered.
import type { PartKind } from '@valise/core/things'
import { entryPart } from './entryPart.tsx'
import { evidencePart } from './evidencePart.tsx'
import { guideCopyPart } from './guideCopyPart.tsx'
import { pagePart } from './pagePart.tsx'
import type { PartUi } from './PartUi.ts'

const partsByKind = {
  page: pagePart,
  entry: entryPart,
  evidence: evidencePart,
  guideCopy: guideCopyPart,
} satisfies Record<PartKind, PartUi>

export function partUiOf(kind: PartKind): PartUi {
  return partsByKind[kind]
}

/** Those that somebody chooses, with how. */
// The list has exactly these keys, which `Object.keys` does not say.
export const offeredParts = (Object.keys(partsByKind) as PartKind[]).flatMap((kind) => {
  const { chosen } = partUiOf(kind)
  return chosen ? [{ kind, ...chosen }] : []
})
