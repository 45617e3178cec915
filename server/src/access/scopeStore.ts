// The one scope of every list and every look: what a viewer may see now, as a condition on a query. Closed by default.
import { audienceKinds } from '@valise/core/access'
import type { AccessRight, Viewer } from '@valise/core/access'
import type { Knex } from 'knex'
import type { Reader } from '../database/index.ts'
import { isPresent } from '../people/index.ts'
import { audienceStoreOf } from './audiences/audienceStores.ts'
import { narrowToShown } from './shared/sharedThingStore.ts'

/**
 * Narrows a query of things to those on which the viewer has `right` now: their own, and published ones that are not in
 * the bin and that open passes reach. It looks from each thing to the passes on it and above it, so narrow the query to
 * a few things first; what is open to a viewer in all is listed from the passes (`openPasses`).
 *
 * A test compares it with `resolveAccess` of the core.
 */
export function accessScope(
  reader: Reader,
  viewer: Viewer,
  right: AccessRight = 'look',
): (query: Knex.QueryBuilder) => void {
  return (query) => {
    if (viewer.kind === 'system') return
    const { sql } = reader
    const open = openPasses(reader, viewer, right).select(sql.raw('1'))
    const direct = open.clone().where('passes.thingId', sql.ref('things.id'))
    const above = open
      .join('reach', 'reach.containerId', 'passes.thingId')
      .where('reach.thingId', sql.ref('things.id'))
    query.where((seen) => {
      if (viewer.kind === 'person') seen.where('things.ownerId', viewer.personId)
      seen.orWhere((shown) =>
        shown.modify(narrowToShown).where((opened) => opened.whereExists(direct).orWhereExists(above)),
      )
    })
  }
}

/** Selects the passes that are open to the viewer now: running, for them, and allowed by the sharing rules. */
export function openPasses(reader: Reader, viewer: Viewer, right: AccessRight = 'look'): Knex.QueryBuilder {
  return openPassesAtAll(reader)
    .modify((q) => {
      if (right === 'comment') q.where('passes.mayComment', 1)
      if (right === 'copy') q.where('passes.mayCopy', 1)
    })
    .modify(isFor, reader, viewer)
}

/** Selects the passes that run now and that the sharing rules allow, for any audience. */
export function openPassesAtAll(reader: Reader): Knex.QueryBuilder {
  return reader
    .sql('passes')
    .modify(isPresent, 'passes', reader.now)
    .where((early) => early.whereNull('passes.endedAt').orWhere('passes.endedAt', '>', reader.now))
    .modify(isAllowed, reader)
}

/** Narrows passes to those whose audience the viewer belongs to at this moment. */
function isFor(passes: Knex.QueryBuilder, reader: Reader, viewer: Viewer): void {
  const conditions = audienceKinds.flatMap((kind) => {
    const belongs = audienceStoreOf(kind).isFor(reader, viewer)
    return belongs ? [{ kind, belongs }] : []
  })
  passes.where((mine) => {
    // Of no audience, so that nothing is seen. Beside another condition it would keep the database from using an index.
    if (conditions.length === 0) mine.whereRaw('1 = 0')
    for (const { kind, belongs } of conditions)
      mine.orWhere((pass) => pass.where('passes.audience', kind).modify(belongs))
  })
}

/** The ceiling, read live: what the year group of the giver may do now. People without a year group are staff. */
function isAllowed(passes: Knex.QueryBuilder, { sql, now }: Reader): void {
  const stays = () =>
    sql('yearGroupStays as stay')
      .where('stay.personId', sql.ref('passes.ownerId'))
      .modify(isPresent, 'stay', now)
  passes.where((either) =>
    either
      .whereNotExists(stays().select(sql.raw('1')))
      .orWhereExists(
        stays()
          .join('sharingAllowances as allowance', 'allowance.yearGroupId', 'stay.yearGroupId')
          .where('allowance.audience', sql.ref('passes.audience'))
          .select(sql.raw('1')),
      ),
  )
}
