// What a published document hands out to its readers, and what must still be there for each file.
import { handOutsOf } from './pieces.ts'
import type { PlacedHandOut } from './pieces.ts'
import type { PageDocument, Shown, ShownEvidence } from './schema.ts'

/** Returns what is shown without things that are gone or in the bin: items, the recordings about them, entries and logbooks. */
export function withhold(shown: Shown, gone: ReadonlySet<string>): Shown {
  const without = <T extends { readonly id: string }>(things: Readonly<Record<string, T>>) =>
    Object.entries(things).filter(([, { id }]) => !gone.has(id))
  return {
    evidence: Object.fromEntries(
      without(shown.evidence).map(([key, item]) => [key, withoutVoices(item, gone)]),
    ),
    entries: Object.fromEntries(without(shown.entries)),
    ...(shown.logbooks && { logbooks: Object.fromEntries(without(shown.logbooks)) }),
  }
}

function withoutVoices({ voices, ...item }: ShownEvidence, gone: ReadonlySet<string>): ShownEvidence {
  return voices ? { ...item, voices: voices.filter(({ id }) => !gone.has(id)) } : item
}

/** Returns the ids of all things that `withhold` may take away. */
export function thingsShown({ evidence, entries, logbooks = {} }: Shown): string[] {
  const items = Object.values(evidence)
  const voices = items.flatMap((item) => item.voices ?? [])
  const told = [...items, ...voices, ...Object.values(logbooks)].map(({ id }) => id)
  return [...new Set(told), ...Object.keys(entries)]
}

export interface PublishedHandOut extends PlacedHandOut {
  /** The things without which it is handed out no longer. */
  readonly needs: readonly string[]
}

/** Returns each file that readers of a published document can fetch, once, in reading order. */
export function listPublishedHandOuts(document: PageDocument, shown: Shown): PublishedHandOut[] {
  const keyOf = ({ pieceId, handOut }: PlacedHandOut) => JSON.stringify([pieceId, handOut.name])
  const keysWithout = thingsShown(shown).map((id) => {
    const left = handOutsOf(document, withhold(shown, new Set([id])))
    return { id, left: new Set(left.map(keyOf)) }
  })
  const all = new Map(handOutsOf(document, shown).map((one) => [keyOf(one), one]))
  return [...all].map(([key, one]) => ({
    ...one,
    needs: keysWithout.flatMap(({ id, left }) => (left.has(key) ? [] : [id])),
  }))
}
