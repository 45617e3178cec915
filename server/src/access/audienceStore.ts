// Whom somebody may open things to: the classes they are in now, and the people there. And how many can see a thing.
import { audienceDefinitionOf, audienceKinds } from '@valise/core/access'
import type { Audiences, SeenBy } from '@valise/core/access'
import { isAssessorRole, resolveShownName } from '@valise/core/people'
import type { ClassRole, PersonActor, ShownNameRule } from '@valise/core/people'
import type { Knex } from 'knex'
import type { Reader } from '../database/index.ts'
import { peopleNow } from '../people/index.ts'
import { ownThings } from '../things/index.ts'
import type { PassTarget } from './audiences/AudienceStore.ts'
import { audienceStoreOf } from './audiences/audienceStores.ts'
import { presentMembers } from './presentMembersStore.ts'
import { narrowToShown } from './shared/sharedThingStore.ts'
import { openPassesAtAll } from './scopeStore.ts'

/** Lists the other members of one's current classes, by shown name. */
export async function listAudiences(
  reader: Reader,
  actor: PersonActor,
): Promise<Pick<Audiences, 'classes' | 'people'>> {
  const classIds = actor.memberships.map(({ classId }) => classId)
  const rows: MemberRow[] = await peopleNow(reader)
    .join(
      presentMembers(reader).whereIn('classId', classIds).select('personId', 'classId', 'role').as('member'),
      'member.personId',
      'people.id',
    )
    .join('classes', 'classes.id', 'member.classId')
    .whereNull('people.endedAt')
    .whereNot('people.id', actor.personId)
    .orderBy(['classes.sortName', 'people.sortName', 'people.id'])
    .select('people.id', 'people.fullName', 'people.firstName', 'people.chosenName')
    .select('yearGroup.shownNameRule', 'member.classId', 'member.role', 'classes.name as className')
  const named = rows.map((row) => ({ ...row, name: resolveShownName(row, row.shownNameRule) }))
  const names = new Map(await listClassNames(reader, classIds))
  return {
    classes: [...names].map(([id, name]) => {
      const members = named.filter((row) => row.classId === id)
      const assessors = members.filter(({ role }) => isAssessorRole(role))
      return {
        id,
        name,
        people: new Set(members.map((member) => member.id)).size,
        assessors: assessors.map((one) => ({ id: one.id, name: one.name })),
      }
    }),
    people: named
      .filter(({ id }, at) => named.findIndex((row) => row.id === id) === at)
      .map(({ id, name, role, className }) => ({ id, name, isAssessor: isAssessorRole(role), className })),
  }
}

async function listClassNames(reader: Reader, ids: readonly string[]): Promise<[string, string][]> {
  const rows: { id: string; name: string }[] = await reader
    .sql('classes')
    .whereIn('id', [...ids])
    .orderBy(['sortName', 'id'])
    .select('id', 'name')
  return rows.map(({ id, name }) => [id, name])
}

/** Counts who can see one's own thing now, by itself or on published pages that show it. */
export async function countSeers(reader: Reader, actor: PersonActor, thingId: string): Promise<SeenBy> {
  const { sql } = reader
  const pages = sql('publishedEvidence').where({ evidenceId: thingId }).select('pageId')
  const shown = ownThings(reader, actor)
    .where((any) => any.where('things.id', thingId).orWhereIn('things.id', pages))
    .modify(narrowToShown)
    .select('things.id')
  const open = openPassesAtAll(reader)
    .where('passes.ownerId', actor.personId)
    .where((any) =>
      any
        .whereIn('passes.thingId', shown.clone())
        .orWhereIn('passes.thingId', sql('reach').whereIn('thingId', shown.clone()).select('containerId')),
    )
  const passes: PassTarget[] = await open.select('audience', 'personId', 'classId')
  const members = audienceKinds.flatMap((kind) => {
    const some = passes.filter(({ audience }) => audience === kind)
    return some.length === 0 ? [] : (audienceStoreOf(kind).members(reader, some) ?? [])
  })
  const people = await sql('people')
    .whereNull('endedAt')
    .whereNot('id', actor.personId)
    .where((any) => {
      // Open to nobody by name.
      if (members.length === 0) any.whereRaw('1 = 0')
      for (const some of members) any.orWhereIn('id', some)
    })
    .count({ count: '*' })
    .first()
  return {
    people: Number(people?.count ?? 0),
    links: passes.filter(({ audience }) => audienceDefinitionOf(audience).hasAddress).length,
  }
}

/** Selects one's own items that somebody else can see now, on published pages that open passes reach. */
export function sharedEvidence(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  const { sql } = reader
  const opened = openPassesAtAll(reader).where('passes.ownerId', actor.personId).select('thingId')
  const inSharedWithMe = sql('reach')
    .join('collections', 'collections.id', 'reach.containerId')
    .where('collections.isBinned', 0)
    .whereIn('reach.containerId', opened.clone())
    .select('reach.thingId')
  return sql('publishedEvidence')
    .join('pages', 'pages.id', 'publishedEvidence.pageId')
    .where({ 'pages.ownerId': actor.personId, 'pages.isBinned': 0 })
    .whereNotNull('pages.published')
    .where((any) => any.whereIn('pages.id', opened.clone()).orWhereIn('pages.id', inSharedWithMe))
    .select('publishedEvidence.evidenceId')
}

interface MemberRow {
  readonly id: string
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
  readonly classId: string
  readonly role: ClassRole
  readonly className: string
}
