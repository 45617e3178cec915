// Opened to me: what others gave somebody a pass for, as they meet it: published, with its published title.
import { prepareAccess } from '@valise/core/access'
import type { SharedWithMeList, ThingSharedWithMe, Viewer } from '@valise/core/access'
import type { PersonActor } from '@valise/core/people'
import { sharedKinds, thingDefinitionOf } from '@valise/core/things'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { isOneOf, newestFirst, toCursor } from '../database/index.ts'
import type { PageWish, Reader } from '../database/index.ts'
import { listShownNames } from '../people/index.ts'
import { listReadable, narrowToShown } from './shared/sharedThingStore.ts'
import { openPasses } from './scopeStore.ts'
import { loadWorldAbout } from './worldStore.ts'

/** Lists one page of what is shared with the caller, newest first; a shared collection is one row. */
export async function listSharedWithMe(
  reader: Reader,
  actor: PersonActor,
  wish: PageWish,
): Promise<SharedWithMeList> {
  const things = reader.sql.select('*').from(thingsSharedWithMe(reader, actor).as('opened'))
  const rows: SharedRow[] = await newestFirst(things, ['opened', 'openedAt'], wish)
  const shown = rows.slice(0, wish.limit)
  const last = shown.at(-1)
  return {
    items: await describe(reader, actor, shown),
    next: rows.length > wish.limit && last ? toCursor([last.openedAt, last.id]) : null,
    count: await countSharedWithMe(reader, actor),
  }
}

export async function countSharedWithMe(reader: Reader, actor: PersonActor): Promise<number> {
  const row = await reader.sql
    .count({ count: '*' })
    .from(thingsSharedWithMe(reader, actor).as('opened'))
    .first()
  return Number(row?.count ?? 0)
}

/** The things with an open pass for somebody that others own and that can be seen, each once. */
function thingsSharedWithMe(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  const viewer: Viewer = { kind: 'person', personId: actor.personId, links: [] }
  return openPasses(reader, viewer)
    .join('things', 'things.id', 'passes.thingId')
    .whereNot('passes.ownerId', actor.personId)
    .modify(narrowToShown)
    .groupBy('passes.thingId', 'passes.ownerId')
    .select('passes.thingId as id', 'passes.ownerId')
    .max({ openedAt: 'passes.fromAt' })
}

async function describe(
  reader: Reader,
  actor: PersonActor,
  rows: readonly SharedRow[],
): Promise<ThingSharedWithMe[]> {
  const ids = rows.map(({ id }) => id)
  const viewer: Viewer = { kind: 'person', personId: actor.personId, links: [] }
  const world = await loadWorldAbout(reader, ids, actor.personId)
  const answerFor = prepareAccess(viewer, 'look', reader.now, world)
  const faces = await listReadable(reader, (rows, column) => isOneOf(rows, column, ids))
  const pages = await countReadable(reader, ids)
  const names = await listShownNames(reader, [...new Set(rows.map(({ ownerId }) => ownerId))])
  const passes: { id: string; audience: ThingSharedWithMe['audience']; className: string | null }[] =
    await openPasses(reader, viewer)
      .modify(isOneOf, 'passes.thingId', ids)
      .leftJoin('classes', 'classes.id', 'passes.classId')
      .select('passes.id', 'passes.audience', 'classes.name as className')
  return rows.flatMap(({ id, ownerId, openedAt }) => {
    const face = faces.find((one) => one.id === id)
    const answer = answerFor(id)
    const direct = answer.allowed
      ? answer.grants.flatMap((grant) =>
          grant.kind === 'pass' && grant.path.length === 0 ? [grant.passId] : [],
        )
      : []
    const pass = passes.find((one) => direct.includes(one.id))
    if (!face || !answer.allowed || !pass) return []
    const { kind, title, changedAt } = face
    const { audience, className } = pass
    const ownerName = names.get(ownerId) ?? ''
    return [
      {
        thing: { kind, id },
        title,
        ownerName,
        pages: thingDefinitionOf(kind).isContainer ? (pages.get(id) ?? 0) : null,
        changedAt,
        openedAt,
        until: answer.until,
        audience,
        className,
      },
    ]
  })
}

/** How many things there are to read in each of these collections. */
async function countReadable(reader: Reader, ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const rows: { containerId: string; pages: number | string }[] = await reader
    .sql('reach')
    .join('things', 'things.id', 'reach.thingId')
    .modify(isOneOf, 'reach.containerId', ids)
    .whereIn('things.kind', readKinds)
    .modify(narrowToShown)
    .groupBy('reach.containerId')
    .select('reach.containerId')
    .countDistinct({ pages: 'things.id' })
  return new Map(rows.map(({ containerId, pages }) => [containerId, Number(pages)]))
}

/** What is read by itself, and not only leads to it. */
const readKinds = sharedKinds.filter((kind) => !thingDefinitionOf(kind).isContainer)

interface SharedRow {
  readonly id: string
  readonly ownerId: string
  readonly openedAt: Instant
}
