// The things that pieces point at, and how each stands among what a document shows.
import type { Reference } from './pieces/PieceDefinition.ts'
import type { Shown } from './schema.ts'

type ThingShown = Reference['thing']
type ReferenceTo<T extends ThingShown> = Extract<Reference, { thing: T }>

interface ShownThing<T extends ThingShown> {
  isShown(reference: ReferenceTo<T>, shown: Shown): boolean
  /** What readers see of it, to be compared. */
  visible(reference: ReferenceTo<T>, shown: Shown): object
}

const shownThings: { readonly [T in ThingShown]: ShownThing<T> } = {
  evidence: {
    isShown: ({ key }, { evidence }) => key in evidence,
    visible: ({ key }, { evidence }) => {
      const item = evidence[key]
      if (!item) return {}
      const { n, look = 0, notes = [], title, credit, caption = '', voices = [] } = item
      const { alternativeText = '', transcript = '' } = item
      return { n, look, notes, title, credit, caption, voices, alternativeText, transcript }
    },
  },
  entry: {
    isShown: ({ id }, { entries }) => id in entries,
    visible: ({ id }, { entries }) => entries[id] ?? {},
  },
  logbook: {
    isShown: ({ key }, { logbooks = {} }) => key in logbooks,
    visible: ({ key }, { logbooks = {}, entries }) => ({
      title: logbooks[key]?.title ?? '',
      entries: (logbooks[key]?.entryIds ?? []).map((id) => entries[id] ?? {}),
    }),
  },
}

/** Returns whether what a reference points at is among what is shown. */
export function isReferenceShown<T extends ThingShown>(reference: ReferenceTo<T>, shown: Shown): boolean {
  return thingOf<T>(reference).isShown(reference, shown)
}

/** Returns what readers see of what a reference points at. */
export function visibleOf<T extends ThingShown>(reference: ReferenceTo<T>, shown: Shown): object {
  return thingOf<T>(reference).visible(reference, shown)
}

function thingOf<T extends ThingShown>({ thing }: { readonly thing: ThingShown }): ShownThing<T> {
  // What stands under a thing is for references to it, which the compiler does not follow.
  return shownThings[thing] as unknown as ShownThing<T>
}
