// One's own things as rows: collections with what lies in them under each, then pages that lie in none.
import type { HeldThing } from '../collections/index.ts'
import type { Pass, Sharing } from './schema.ts'

interface InheritedPass {
  readonly pass: Pass
  /** The collection that has the pass. */
  readonly fromId: string
}

export interface SharingRow {
  readonly thing: HeldThing
  /** How deep it lies here; 0 for what lies in nothing. */
  readonly depth: number
  /** The collection that it lies in here. */
  readonly containerId: string | null
  readonly isHidden: boolean
  readonly passes: readonly Pass[]
  /** Passes on the collections above it here, the nearest first. Where it is hidden, or one of them is, they rest. */
  readonly inherited: readonly InheritedPass[]
}

/**
 * Builds the rows of the sharing screen. A thing that stands in several collections has a row in each; every group
 * starts with a row of depth 0.
 *
 * @returns the groups that contain a pass, newest pass first, and the things without one
 */
export function sharingRows({ things, places, passes }: Sharing): {
  readonly shared: SharingRow[][]
  readonly alone: SharingRow[][]
} {
  const byId = new Map(things.map((thing) => [thing.id, thing]))
  const held = new Set(places.map(({ thingId }) => thingId))
  const passesOn = (id: string) => passes.filter(({ thing }) => thing.id === id)

  const rowsUnder = (row: SharingRow): SharingRow[] => [
    row,
    ...places
      .filter(({ containerId }) => containerId === row.thing.id)
      .flatMap(({ thingId, isHidden }) => {
        const thing = byId.get(thingId)
        if (!thing) return []
        const above = row.passes.map((pass) => ({ pass, fromId: row.thing.id }))
        return rowsUnder({
          ...{ thing, depth: row.depth + 1, containerId: row.thing.id },
          isHidden: isHidden || row.isHidden,
          passes: passesOn(thingId),
          inherited: [...above, ...row.inherited],
        })
      }),
  ]
  const groups = things
    .filter(({ id }) => !held.has(id))
    .map((thing) =>
      rowsUnder({
        ...{ thing, depth: 0, containerId: null, isHidden: false, inherited: [] },
        passes: passesOn(thing.id),
      }),
    )
  const isShared = (rows: readonly SharingRow[]) => rows.some((row) => row.passes.length > 0)
  const firstPass = (rows: readonly SharingRow[]) =>
    rows.flatMap((row) => row.passes.map(({ from }) => from ?? '')).reduce((a, b) => (a < b ? a : b))
  const shared = groups.filter(isShared)
  return {
    // What was opened first stands first, as it would on a time line.
    shared: shared.sort((a, b) => firstPass(a).localeCompare(firstPass(b), 'en')),
    alone: groups.filter((rows) => !isShared(rows)),
  }
}
